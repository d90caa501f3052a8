import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import { acrossProbes } from './across.ts';
import { choosing } from './choices.ts';
import { fitting, moving } from './fit.ts';
import { focusHardToSee, focusNotShown } from './focus-indicator.ts';
import { focusWalk } from './focus-walk.ts';
import { graphics } from './graphics.ts';
import { hovering } from './hover.ts';
import { keys, lettersOfPage } from './keys.ts';
import { deadLink } from './links.ts';
import { changingPage } from './page-change.ts';
import { movingByItself } from './motion.ts';
import { pointing } from './pointer.ts';
import { resizing } from './resizing.ts';
import { scaling } from './scale.ts';
import { siteProbes } from './site-map.ts';
import { skipping } from './skip-link.ts';
import { statesOfLinks } from './states.ts';
import { tabs } from './tabs.ts';
import { toggles, togglesOtherwise } from './toggles.ts';

/** What is tried on a page whose menus have not been used at this width, those that take longest first. */
export const attempts: readonly Attempt[] = [
  toggles,
  togglesOtherwise,
  resizing,
  pointing,
  { ...focusWalk, probes: [...focusWalk.probes, focusNotShown, focusHardToSee] },
  statesOfLinks,
  skipping,
  hovering,
  tabs,
  keys,
  lettersOfPage,
  choosing,
  graphics,
  fitting,
  scaling,
  moving,
  movingByItself,
  changingPage,
];

/** Every probe of the command. */
export const probes: readonly Probe[] = [
  deadLink,
  // Some are found in more ways than one.
  ...new Set(attempts.flatMap((attempt) => attempt.probes)),
  ...acrossProbes,
  ...siteProbes,
];
