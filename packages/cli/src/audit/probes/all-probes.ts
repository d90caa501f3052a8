import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import { acrossProbes } from './across.ts';
import { choosing } from './choices.ts';
import { fitting, moving } from './fit.ts';
import { focusHardToSee, focusNotShown } from './focus-indicator.ts';
import { focusWalk } from './focus-walk.ts';
import { hovering } from './hover.ts';
import { deadLink } from './links.ts';
import { changingPage } from './page-change.ts';
import { siteProbes } from './site-map.ts';
import { skipping } from './skip-link.ts';
import { statesOfLinks } from './states.ts';
import { tabs } from './tabs.ts';
import { toggles } from './toggles.ts';

/** What is tried on a page whose menus have not been used at this width, in this order. */
export const attempts: readonly Attempt[] = [
  { ...focusWalk, probes: [...focusWalk.probes, focusNotShown, focusHardToSee] },
  statesOfLinks,
  skipping,
  toggles,
  hovering,
  tabs,
  choosing,
  fitting,
  moving,
  changingPage,
];

/** Every probe of the command. */
export const probes: readonly Probe[] = [
  deadLink,
  ...attempts.flatMap((attempt) => attempt.probes),
  ...acrossProbes,
  ...siteProbes,
];
