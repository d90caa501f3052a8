import type * as development from './replace-site.ts';

/** No one edits the site file of an app that is published. */
export const currentSite: typeof development.currentSite = (site) => site;
export const onSiteReplaced: typeof development.onSiteReplaced = () => () => undefined;
export const replaceSite: typeof development.replaceSite = () => undefined;
