export { fairTrail } from './fair-trail.ts';
export type { FairTrailOptions, PrerenderOptions, RenderedPage, ServerEntry, SheetSettings } from './options.ts';
