import type { FoundTablist } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';

export const tabsWithoutArrows: Probe = {
  id: 'tabs-without-arrows',
  title: 'The arrow keys do not go from tab to tab.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  hurts: 'People who listen to the page are told that there are tabs, press the arrow keys, and nothing happens.',
  remedy: 'Move focus with the arrow keys, and let Tab stop at the selected tab alone; or leave out the roles of tabs.',
  standard: 'ARIA Authoring Practices, tabs pattern: keyboard interaction',
};

export const tabDoesNothing: Probe = {
  id: 'tab-does-nothing',
  title: 'A tab that is pressed is not selected.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  hurts: 'People who listen to the page are told that another tab is still the one that is shown.',
  remedy: 'Show the panel of the tab that was pressed, and set aria-selected on it, and on no other.',
  standard: 'WAI-ARIA 1.2, section 5.4 (tab); ARIA Authoring Practices, tabs pattern',
};

async function attempt(used: AuditedPage): Promise<void> {
  for (const list of used.report.tablists) {
    if (!used.options.isNew(list.fingerprint)) continue;
    await used.reload();
    await byArrows(used, list);
    await used.reload();
    await byMouse(used, list);
  }
}

async function byArrows(used: AuditedPage, list: FoundTablist): Promise<void> {
  if (!used.isWanted(tabsWithoutArrows)) return;
  const first = list.tabs.find(({ isSelected }) => isSelected) ?? list.tabs[0];
  if (!first || !(await used.call('focusOn', first.selector))) {
    used.leaveOut(tabsWithoutArrows, 'The selected tab takes no focus.');
    return;
  }
  const before = await used.call('focused');
  // The last one may well end it; and lists that go down go by other arrows.
  const keys = list.isVertical
    ? ['ArrowDown', 'ArrowUp', 'ArrowRight', 'ArrowLeft']
    : ['ArrowRight', 'ArrowLeft', 'ArrowDown', 'ArrowUp'];
  for (const key of keys) {
    const happening = await used.whatHappens(first.selector, () => used.page.keyboard.press(key));
    if (happening === null || happening.left) return;
    const now = await used.call('focused');
    if (now?.number !== before?.number || happening.before.told !== happening.after.told) return;
  }
  const isUnreached = list.tabs.some(({ isStop }) => !isStop);
  await used.tell(tabsWithoutArrows, list, {
    state: 'focus',
    message: isUnreached ? 'Tab does not stop at the others either.' : 'Tab stops at each of them instead.',
    // Each can still be reached, though not as was promised.
    isLikely: !isUnreached,
  });
}

async function byMouse(used: AuditedPage, list: FoundTablist): Promise<void> {
  const other = list.tabs.find(({ isSelected }) => !isSelected);
  if (!other || !used.isWanted(tabDoesNothing)) return;
  const happening = await used.whatHappens(other.selector, async () => {
    const middle = await used.call('middleOf', other.selector);
    if (middle) await used.page.mouse.click(...middle);
  });
  if (happening === null || happening.left) return;
  const isTold = happening.before.told !== happening.after.told;
  if (isTold) return;
  const isShown = happening.before.text !== happening.after.text;
  const message = isShown ? 'Its panel is shown, and aria-selected stays where it was.' : 'Nothing is shown either.';
  await used.tell(tabDoesNothing, other, { state: 'pressed', message });
}

export const tabs: Attempt = { name: 'tabs', probes: [tabsWithoutArrows, tabDoesNothing], attempt };
