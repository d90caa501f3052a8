import { attempts } from './probes/all-probes.ts';

/** Rules that a page is not held to where a stylesheet of it could not be loaded: it is not as visitors have it. */
const ofLooks = [
  ...['small-target', 'low-contrast', 'mark-by-color-only', 'mark-only-visual', 'focus-on-invisible', 'focus-covered'],
  ...['focus-not-shown', 'focus-hard-to-see', 'focus-order', 'menu-outside-window', 'labels-overlap', 'label-cut'],
  ...['text-spacing-breaks', 'large-text-breaks', 'bar-takes-window', 'state-low-contrast', 'panel-out-of-window'],
  ...['icon-low-contrast', 'mark-low-contrast', 'field-low-contrast', 'low-contrast-on-picture', 'text-not-zoomed'],
  ...[
    'visible-not-exposed',
    'exposed-not-visible',
    'menu-lost-by-resizing',
    'state-after-resizing',
    'orientation-locked',
  ],
  ...['overlay-leaves-page', 'hover-only', 'narrow-menu-lacks', 'toggle-announces-closed', 'toggle-state-wrong'],
];
/** What is tried of what scripts make. */
const byScripts: ReadonlySet<string> = new Set([
  ...[
    'toggles',
    'toggles by keyboard and by touch',
    'resizing',
    'pointer',
    'hover',
    'tabs',
    'keys of roles',
    'letters',
  ],
  ...['lists of choices', 'what moves by itself', 'page change'],
]);

/** The same for scripts. */
const ofScripts = [
  ...attempts.filter(({ name }) => byScripts.has(name)).flatMap(({ probes }) => probes.map(({ id }) => id)),
  ...['placeholder-link', 'dead-fragment', 'focus-trapped', 'not-by-keyboard', 'skip-link-stays', 'reference-missing'],
];

/** Which rules a page cannot be held to, since what it asked for has not come: it is not as its visitors have it. */
export function rulesLeftOut(missing: ReadonlySet<string>): ReadonlySet<string> {
  return new Set([
    ...(missing.has('stylesheet') ? ofLooks : []),
    ...(missing.has('script') ? [...ofScripts, ...ofLooks] : []),
  ]);
}
