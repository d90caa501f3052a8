import { deepElements } from '../../reading/deep-elements.ts';
import { holds, navigationsOf } from '../../reading/navigations.ts';
import { placeOf, type ElementPlace } from '../../reading/selector.ts';
import { isSeen } from '../../reading/visible.ts';

/** Movements shorter than that may go on, in milliseconds (WCAG 2.2, 2.2.2). */
const longest = 5000;

function menus(): readonly Element[] {
  const { landmarks, runs } = navigationsOf(document);
  return [...landmarks, ...runs, ...deepElements(document, 'header, [role="banner"], aside, [role="status"]')];
}

function isNear(element: Element): boolean {
  return menus().some((menu) => holds(menu, element));
}

/** What moves or blinks in the menus for longer than five seconds, by a stylesheet or an element of old. */
export function lastingMotions(): readonly ElementPlace[] {
  const old = deepElements(document, 'marquee, blink').filter((element) => isSeen(element));
  const animated = document.getAnimations().flatMap((animation) => {
    const effect = animation.effect as KeyframeEffect | null;
    const target = effect?.target ?? null;
    if (!effect || !target || animation.playState !== 'running' || !isNear(target) || !isSeen(target)) return [];
    if (!(animation.timeline instanceof DocumentTimeline)) return [];
    const { endTime, duration } = effect.getComputedTiming();
    if (Number(endTime) <= longest || duration === 0) return [];
    const names = ['transform', 'translate', 'left', 'right', 'top', 'marginLeft', 'marginInlineStart', 'opacity'];
    const others = ['visibility', 'backgroundColor', 'color', 'scale', 'rotate', 'backgroundPosition'];
    const frames = effect.getKeyframes();
    return frames.some((frame) => [...names, ...others].some((name) => name in frame)) ? [target] : [];
  });
  if (hasPause()) return [];
  return [...old, ...animated].map(placeOf);
}

/** Whether a control is there that is called as one which stops something. */
export function hasPause(): boolean {
  const words = /\b(?:pause|stop|halt|freeze)|anhalten|pausieren|arrêter|pausar|detener/iu;
  return deepElements(document, 'button, [role="button"], input[type="checkbox"], summary').some((control) =>
    words.test(`${control.getAttribute('aria-label') ?? ''} ${control.textContent} ${control.title}`),
  );
}

let changed = new Map<Element, number>();
let observer: MutationObserver | null = null;

/** Begins to note what changes in the menus. */
export function watchMenus(): void {
  changed = new Map();
  observer?.disconnect();
  const roots = menus();
  observer = new MutationObserver((records) => {
    for (const { target, type, attributeName } of records) {
      const element = target.nodeType === 1 ? (target as Element) : target.parentElement;
      const isDrawn = type !== 'attributes' || ['style', 'class', 'hidden'].includes(attributeName ?? '');
      if (element && isDrawn && roots.some((root) => holds(root, element))) changed.set(element, 1);
    }
  });
  observer.observe(document.documentElement, { attributes: true, childList: true, characterData: true, subtree: true });
}

/** What has changed in the menus since the last time that was asked, and can be seen. */
export function menuChanges(): readonly ElementPlace[] {
  const found = [...changed.keys()].filter((element) => element.isConnected && isSeen(element) && !isClock(element));
  changed = new Map();
  return found.map(placeOf);
}

/** A time of day, or a number that counts, is read at a glance: what is meant is what people read or press. */
function isClock(element: Element): boolean {
  return element.closest('time, [role="timer"]') !== null || !/\p{Letter}{2}/u.test(element.textContent);
}

export function hasRepeatedTimers(): boolean {
  return (window.fairTrailActivity?.timers() ?? []).some(
    ({ isRepeated, delay, depth }) => (isRepeated && delay >= 200 && delay <= longest) || depth > 4,
  );
}
