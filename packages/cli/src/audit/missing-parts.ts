import { attempts } from './probes/all-probes.ts';

/** Rules that a page is not held to where a stylesheet of it could not be loaded: it is not as visitors have it. */
const ofLooks = [
  ...['small-target', 'low-contrast', 'mark-by-color-only', 'mark-only-seen', 'focus-on-unseen', 'focus-covered'],
  ...['focus-not-shown', 'focus-hard-to-see', 'order-of-focus', 'menu-beside-window', 'labels-overlap', 'label-cut'],
  ...['spaced-text-breaks', 'large-text-breaks', 'bar-takes-window', 'state-low-contrast', 'panel-out-of-window'],
  ...['overlay-leaves-page', 'hover-only', 'narrow-menu-lacks', 'toggle-says-closed', 'toggle-state-wrong'],
];
/** The same for scripts. */
const ofScripts = [
  ...attempts
    .filter(({ name }) => ['toggles', 'tabs', 'page change', 'hover'].includes(name))
    .flatMap(({ probes }) => probes.map(({ id }) => id)),
  ...[
    'placeholder-link',
    'dead-fragment',
    'focus-trapped',
    'not-by-keyboard',
    'skip-link-stays',
    'reference-to-nothing',
  ],
];

/** Which rules a page cannot be held to, since what it asked for has not come: it is not as its visitors have it. */
export function rulesLeftOut(missing: ReadonlySet<string>): ReadonlySet<string> {
  return new Set([
    ...(missing.has('stylesheet') ? ofLooks : []),
    ...(missing.has('script') ? [...ofScripts, ...ofLooks] : []),
  ]);
}
