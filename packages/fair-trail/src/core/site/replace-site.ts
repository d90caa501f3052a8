import type { Site } from './site.ts';

/**
 * While an app is developed, its site file changes under a running app. What the app imported is a site already, and may be
 * held anywhere: so that value takes on everything of the new one, and what draws a site follows to a value of its own,
 * whose identity says that something is new.
 */
const replacements = new WeakMap<Site, Site>();
const listeners = new Set<() => void>();

/** What stands for a site now: the site itself, unless its file has changed since. */
export function currentSite(site: Site): Site {
  return replacements.get(site) ?? site;
}

/**
 * Calls back after any site has been replaced. A production build never does.
 *
 * @returns a function that stops listening
 */
export function onSiteReplaced(listener: () => void): () => void {
  listeners.add(listener);
  return () => void listeners.delete(listener);
}

/** Replaces the site that the app imported by a newer version. */
export function replaceSite(site: Site, next: Site): void {
  Object.assign(site, next);
  replacements.set(site, next);
  for (const listener of listeners) listener();
}
