import type { FoundToggle } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import { isHarmful, isHarmfulLabel } from '../../browser/harmful.ts';
import type { AuditedPage, ElementReference } from '../audited-page.ts';
import type { Probe } from '../probe.ts';
import { isMenuClosed, openFirst } from './open-first.ts';
import { nameIn } from '../path-taken.ts';

export const actsOnPress: Probe = {
  id: 'acts-on-press',
  title: 'An action is triggered when the pointer goes down, not when it is released.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['2.5.2'],
  affects: 'People with tremor cannot move away before they release, as they can on any other button.',
  remedy: 'Listen for click, which fires when the pointer is released over the same element.',
  standard: 'WCAG 2.2, 2.5.2 Pointer Cancellation, technique G212',
};

export const byDraggingAlone: Probe = {
  id: 'dragging-only',
  title: 'Links can be reached only by dragging.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['2.5.1', '2.5.7'],
  affects: 'People who cannot drag or swipe: they use a switch, a head pointer or speech input.',
  remedy: 'Let the strip scroll (overflow: auto), or add buttons that move it.',
  standard: 'WCAG 2.2, 2.5.7 Dragging Movements and 2.5.1 Pointer Gestures',
};

export const controlMouseOnly: Probe = {
  id: 'control-mouse-only',
  title: 'A focusable control works only with the mouse.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  affects: 'Keyboard users reach it, press Enter, and nothing happens.',
  remedy: 'Use a link or a button; or listen for Enter and Space as well.',
  standard: 'WCAG 2.2, 2.1.1 Keyboard, failure F54; ARIA Authoring Practices, button and link patterns',
};

/** More of one page are made alike. */
const mostPressed = 3;

async function attempt(used: AuditedPage): Promise<void> {
  if (used.isWanted(actsOnPress)) await pressAndMoveAway(used);
  if (used.isWanted(controlMouseOnly)) await pressByKeys(used);
  if (used.isWanted(byDraggingAlone)) {
    await used.reload();
    const strip = (await used.call('draggedStrip')) ?? (await used.call('swipedMenu'));
    if (strip) await used.addFinding(byDraggingAlone, strip, { state: 'rest' });
  }
}

/** Presses, moves away and lets go: what has happened then cannot be called back. */
async function pressAndMoveAway(used: AuditedPage): Promise<void> {
  await used.reload();
  const targets = await freshTargets(used);
  for (const target of targets.slice(0, mostPressed)) {
    await used.reload();
    await pressAt(used, target);
  }
  if (!isMenuClosed(used) || !(await openFirst(used))) return;
  for (const target of (await freshTargets(used)).slice(0, mostPressed)) {
    if (await openFirst(used)) await pressAt(used, target);
  }
}

async function freshTargets(used: AuditedPage): Promise<readonly ElementReference[]> {
  return (await used.call('downListeners')).filter(
    ({ selector, html }) => !isHarmfulLabel(html) && used.options.isNew(`down ${selector}`),
  );
}

async function pressAt(used: AuditedPage, target: ElementReference): Promise<void> {
  const point = await used.call('pointFor', target.selector);
  if (!point) return;
  used.note(`hold the mouse down on ${nameIn(target.html)}, move away and let go`);
  // Under the pointer, it may have opened already.
  await used.page.mouse.move(...point);
  await used.call('rest');
  const down = await used.whatHappens(target.selector, () => used.page.mouse.down());
  const away = await used.whatHappens(target.selector, async () => {
    // At once: on the way it would come over other items.
    await used.page.mouse.move(2, used.size.height - 2);
    await used.page.mouse.up();
  });
  if (!down) return;
  const isDone = down.left || away?.left === true;
  const isOpened = down.shown.length > 0 || (down.before.expanded === 'false' && down.after.expanded === 'true');
  // What goes away with the pointer can be called back.
  const isStill = isOpened && (await used.call('isStillOpen', down.shown));
  if (isDone || isStill) await used.addFinding(actsOnPress, target, { state: 'pressed and not let go' });
}

/** What is no link and no button by itself, and says that it is one. */
async function pressByKeys(used: AuditedPage): Promise<void> {
  const made = (await used.call('madeControls')).filter(
    ({ selector, html, href }) =>
      !isHarmfulLabel(html) &&
      (href === null || !isHarmful(new URL(href, used.options.url))) &&
      used.options.isNew(`keys ${selector}`),
  );
  for (const control of made.slice(0, mostPressed)) {
    const byMouse = await pressed(used, control, () => used.clickOn(control));
    if (!byMouse) continue;
    const keys = control.isLink ? ['Enter'] : ['Enter', 'Space'];
    let works = false;
    for (const key of keys) {
      works ||= await pressed(used, control, async () => {
        if (!(await used.focusOn(control))) return false;
        await used.press(key);
        return true;
      });
    }
    if (!works) await used.addFinding(controlMouseOnly, control, { state: 'pressed' });
  }
}

async function pressed(
  used: AuditedPage,
  { selector }: ElementReference | FoundToggle,
  act: () => Promise<boolean>,
): Promise<boolean> {
  await used.reload();
  const outcome = await used.whatHappens(selector, act);
  return outcome !== null && (outcome.left || outcome.shown.length > 0 || outcome.before.text !== outcome.after.text);
}

export const pointing: Attempt = {
  isPossible: ({ report: { counts } }) =>
    counts.downListeners + counts.madeControls + counts.drags > 0 || counts.hearsDown > 0,
  name: 'pointer',
  probes: [actsOnPress, byDraggingAlone, controlMouseOnly],
  attempt,
};
