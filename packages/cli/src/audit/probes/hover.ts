import type { HoverTrigger } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';

export const hoverOnly: Probe = {
  id: 'hover-only',
  title: 'Links appear only on hover.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  affects: 'Keyboard and touch users cannot reach these links.',
  remedy:
    'Open the panel with a button, and on hover too if you like; or show it while focus is within (:focus-within).',
  standard: 'WCAG 2.2, 2.1.1 Keyboard; ARIA Authoring Practices, disclosure navigation',
};

export const hoverNotDismissible: Probe = {
  id: 'hover-not-dismissible',
  title: 'Content that appears on hover covers the page, and Escape does not close it.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.13'],
  affects: 'People who zoom in: the pointer is always over something, and it covers what they want to read.',
  remedy: 'Close it on Escape, wherever focus is.',
  standard: 'WCAG 2.2, 1.4.13 Content on Hover or Focus: Dismissible',
};

export const hoverNotHoverable: Probe = {
  id: 'hover-not-hoverable',
  title: 'Content that appears on hover disappears when the pointer moves onto it.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.13'],
  affects: 'Everyone who aims for a link in it, and especially people with tremor.',
  remedy: 'Leave no gap between the item and its panel, or bridge it, and wait a moment before closing.',
  standard: 'WCAG 2.2, 1.4.13 Content on Hover or Focus: Hoverable',
};

export const hoverNotPersistent: Probe = {
  id: 'hover-not-persistent',
  title: 'Content that appears on hover disappears by itself.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['1.4.13'],
  affects: 'Everyone who needs longer to read it.',
  remedy: 'Keep it until the pointer or focus leaves, or Escape is pressed.',
  standard: 'WCAG 2.2, 1.4.13 Content on Hover or Focus: Persistent',
};

export const hoverMovesRow: Probe = {
  id: 'hover-moves-row',
  title: 'A hovered item moves its neighbors.',
  severity: 'advice',
  certainty: 'sure',
  wcag: [],
  affects: 'Everyone who aims at one of them.',
  remedy: 'Use a state that takes no room: color, underline, outline. Or reserve the room of the bold label.',
  standard: 'CSS Basic User Interface 4, section 3 (outline)',
};

/** How long content must stay while nothing is done, in milliseconds: shorter than that, no one has read it. */
const patience = 2500;

async function attempt(used: AuditedPage): Promise<void> {
  // In a narrow window the same items are behind a toggle, or are drawn by the same rules.
  if (!used.options.isWidest) return;
  for (const trigger of used.report.hoverTriggers) {
    if (used.options.isNew(trigger.fingerprint)) await hover(used, trigger);
  }
  if (used.isWanted(hoverMovesRow)) await lookAtNeighbours(used);
}

/** The links that came into sight with the mouse on the trigger; none where nothing did. */
async function shownBy(used: AuditedPage, trigger: HoverTrigger): Promise<readonly number[]> {
  await used.reload();
  const happening = await used.whatHappens(trigger.selector, () => used.pointAt(trigger));
  return happening === null || happening.left ? [] : happening.shown;
}

async function hover(used: AuditedPage, trigger: HoverTrigger): Promise<void> {
  const { selector } = trigger;
  const shown = await shownBy(used, trigger);
  if (shown.length === 0) return;
  const panel = await used.call('panelOf', selector, shown);
  if (panel?.hidesContent) {
    await used.press('Escape');
    await used.call('rest');
    if (await used.call('isStillOpen', shown)) await used.addFinding(hoverNotDismissible, trigger, { state: 'hover' });
  }
  if (panel?.target && used.isWanted(hoverNotHoverable, hoverNotPersistent)) {
    const again = await shownBy(used, trigger);
    const open = again.length > 0 ? await used.call('panelOf', selector, again) : null;
    if (open?.target) await cross(used, trigger, again, open.box);
  }
  if (!trigger.hasToggle) await byKeyboard(used, trigger);
}

/** Straight to the nearest side of the panel and into it, at the pace of a calm hand. */
async function cross(
  used: AuditedPage,
  trigger: HoverTrigger,
  shown: readonly number[],
  box: { readonly left: number; readonly top: number; readonly right: number; readonly bottom: number },
): Promise<void> {
  const from = await used.call('middleOf', trigger.selector);
  if (!from) return;
  const [x, y] = from;
  const inside = (value: number, low: number, high: number) => Math.min(Math.max(value, low + 6), high - 6);
  const to = [inside(x, box.left, box.right), inside(y, box.top, box.bottom)] as const;
  const distance = Math.hypot(to[0] - x, to[1] - y);
  const steps = Math.max(4, Math.round(distance / 4));
  for (let step = 1; step <= steps; step += 1) {
    await used.page.mouse.move(x + ((to[0] - x) * step) / steps, y + ((to[1] - y) * step) / steps);
    await used.page.waitForTimeout(12);
  }
  await used.page.waitForTimeout(400);
  if (!(await used.call('isStillOpen', shown))) {
    await used.addFinding(hoverNotHoverable, trigger, { state: 'hover' });
    return;
  }
  if (!used.isWanted(hoverNotPersistent)) return;
  await used.page.waitForTimeout(patience);
  if (!(await used.call('isStillOpen', shown))) await used.addFinding(hoverNotPersistent, trigger, { state: 'hover' });
}

/** By focus, by the keys that open things, or by another button of the same item. */
async function byKeyboard(used: AuditedPage, trigger: HoverTrigger): Promise<void> {
  if (!used.isWanted(hoverOnly)) return;
  const { focusable, isLink } = trigger;
  await used.reload();
  const isToggled = used.report.toggles.some(({ kind }) => kind === 'stated' || kind === 'named');
  if (focusable !== null) {
    const keys = isLink ? ['', 'Tab', 'Space', 'ArrowDown'] : ['', 'Enter', 'Space', 'ArrowDown', 'Tab'];
    for (const key of keys) {
      await used.reload();
      const happening = await used.whatHappens(focusable, async () => {
        await used.focusOn({ selector: focusable, html: trigger.html });
        if (key !== '') await used.press(key);
      });
      if (happening === null || happening.left || happening.shown.length > 0) return;
    }
  }
  // A page of its own may list the same links, and a button elsewhere may open them.
  await used.addFinding(hoverOnly, trigger, { state: 'hover', isLikely: isLink || isToggled });
}

/** One item of each menu: does what the mouse does to it push the others? */
async function lookAtNeighbours(used: AuditedPage): Promise<void> {
  await used.reload();
  for (const menu of used.report.menus) {
    if (!used.options.isNew(`neighbors ${menu.fingerprint}`)) continue;
    const link = menu.links.find(({ isDrawn, isCurrent, label }) => isDrawn && !isCurrent && label !== '');
    if (!link) continue;
    await used.page.mouse.move(0, 0);
    await used.call('rest');
    const before = await used.call('boxesOf');
    await used.pointAt(link);
    await used.call('rest');
    const after = new Map((await used.call('boxesOf')).map((one) => [one.number, one.box]));
    const isOpen = after.size !== before.length;
    const pushed = before.filter(({ number, box, selector }) => {
      const now = after.get(number);
      const isMoved = now !== undefined && [0, 1].some((part) => Math.abs((now[part] ?? 0) - (box[part] ?? 0)) > 1);
      return isMoved && selector !== link.selector;
    });
    await used.page.mouse.move(0, 0);
    if (!isOpen && pushed.length > 0) await used.addFinding(hoverMovesRow, link, { state: 'hover' });
  }
}

export const hovering: Attempt = {
  isPossible: ({ options }) => options.isWidest,
  name: 'hover',
  probes: [hoverOnly, hoverNotDismissible, hoverNotHoverable, hoverNotPersistent, hoverMovesRow],
  attempt,
};
