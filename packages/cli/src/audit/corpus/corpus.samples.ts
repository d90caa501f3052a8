import { fitTwins } from './fit.samples.ts';
import { focusTwins } from './focus.samples.ts';
import { promiseTwins } from './promises.samples.ts';
import type { SiteTwins } from './site-twins.samples.ts';
import { toggleTwins } from './toggle.samples.ts';
import { widgetTwins } from './widgets.samples.ts';

export const siteCorpus: readonly SiteTwins[] = [
  ...focusTwins,
  ...toggleTwins,
  ...widgetTwins,
  ...fitTwins,
  ...promiseTwins,
];
