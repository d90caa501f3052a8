import type * as development from './href-reason.ts';

export const reasonForNoHref: typeof development.reasonForNoHref = () => '';
