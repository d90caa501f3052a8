import { useSyncExternalStore } from 'react';
import type { CompiledSite } from '../core/site/compiled.ts';
import { siteOf } from '../core/site/load.ts';
import { currentSite, onSiteReplaced } from '../core/site/replace-site.ts';
import type { Site } from '../core/site/site.ts';

/** The site that an app gives, loaded where it is compiled; in development, as its file is now. */
export function useGivenSite(given: Site | CompiledSite): Site {
  const read = () => currentSite(siteOf(given));
  return useSyncExternalStore(onSiteReplaced, read, read);
}
