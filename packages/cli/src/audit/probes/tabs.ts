import type { FocusStep, FoundTablist } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import { focusLostOnPress } from './opened.ts';
import type { AuditedPage } from '../audited-page.ts';

export const tabsWithoutArrows: Probe = {
  id: 'tabs-without-arrows',
  title: 'Arrow keys do not move between the tabs.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  affects: 'Screen reader users hear that there are tabs, press the arrow keys, and nothing happens.',
  remedy: 'Move focus with the arrow keys, and let Tab stop only at the selected tab; or remove the tab roles.',
  standard: 'ARIA Authoring Practices, tabs pattern: keyboard interaction',
};

export const tabDoesNothing: Probe = {
  id: 'tab-does-nothing',
  title: 'Pressing a tab does not select it.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen readers announce that another tab is still selected.',
  remedy: 'Show the panel of the pressed tab, and set aria-selected only on that tab.',
  standard: 'WAI-ARIA 1.2, section 5.4 (tab); ARIA Authoring Practices, tabs pattern',
};

export const tabNotByKey: Probe = {
  id: 'tab-not-by-key',
  title: 'No key selects the focused tab.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  affects: 'Keyboard users reach the tab and cannot see its panel.',
  remedy: 'Select the tab when an arrow key reaches it, or on Enter and Space.',
  standard: 'ARIA Authoring Practices, tabs pattern: keyboard interaction',
};

export const tabShowsOther: Probe = {
  id: 'tab-shows-other',
  title: 'A tab shows a panel other than the one in its aria-controls.',
  severity: 'warning',
  certainty: 'sure',
  wcag: ['1.3.1', '4.1.2'],
  affects: 'Screen reader users who jump from the tab to its panel reach another one, or none.',
  remedy: 'Set aria-controls to the id of its panel, and show only that panel.',
  standard: 'WAI-ARIA 1.2, section 5.4 (tab, tabpanel); ARIA Authoring Practices, tabs pattern',
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
  if (!used.isWanted(tabsWithoutArrows, tabNotByKey, focusLostOnPress)) return;
  const first = list.tabs.find(({ isSelected }) => isSelected) ?? list.tabs[0];
  if (!first || !(await used.focusOn(first))) {
    used.leaveOut(tabsWithoutArrows, 'The selected tab takes no focus.');
    return;
  }
  const before = await used.call('focused');
  // The last one may well end it; and lists that go down go by other arrows.
  const keys = list.isVertical
    ? ['ArrowDown', 'ArrowUp', 'ArrowRight', 'ArrowLeft']
    : ['ArrowRight', 'ArrowLeft', 'ArrowDown', 'ArrowUp'];
  for (const key of keys) {
    const happening = await used.whatHappens(first.selector, () => used.press(key));
    if (happening === null || happening.left) return;
    const now = await used.call('focused');
    if (!now) {
      await used.addFinding(focusLostOnPress, list, { state: 'focus', message: `${key} replaces the tabs.` });
      return;
    }
    if (happening.before.stated !== happening.after.stated) return;
    if (now.number !== before?.number) {
      await selectByKey(used, now);
      return;
    }
  }
  const isUnreached = list.tabs.some(({ isStop }) => !isStop);
  await used.addFinding(tabsWithoutArrows, list, {
    state: 'focus',
    message: isUnreached ? 'Tab does not stop at the others either.' : 'Tab stops at each of them instead.',
    // Each can still be reached, though not as was promised.
    isLikely: !isUnreached,
  });
}

/** Where an arrow key moves focus alone, Enter or Space selects. */
async function selectByKey(used: AuditedPage, tab: FocusStep): Promise<void> {
  if (!used.isWanted(tabNotByKey)) return;
  for (const key of ['Enter', 'Space']) {
    const happening = await used.whatHappens(tab.selector, () => used.press(key));
    if (happening === null || happening.left) return;
    const isShown = happening.before.text !== happening.after.text;
    if (isShown || happening.before.stated !== happening.after.stated) return;
  }
  const reported = await used.call('isSelected', tab.selector);
  if (!reported) await used.addFinding(tabNotByKey, tab, { state: 'focus' });
}

/** Whether the panel of each tab is the one that is shown when it is pressed. */
async function lookAtPanels(used: AuditedPage, tab: FoundTablist['tabs'][number]): Promise<void> {
  if (!used.isWanted(tabShowsOther)) return;
  const panels = await used.call('panelsOf', tab.selector);
  if (panels && !panels.isOwnShown && panels.isOtherShown)
    await used.addFinding(tabShowsOther, tab, { state: 'pressed' });
  if (panels?.isOwnShown === true && panels.isOtherShown) {
    await used.addFinding(tabShowsOther, tab, {
      state: 'pressed',
      message: 'Another panel of the list is shown as well.',
    });
  }
}

/** The page may remember a tab that was selected before, and begin with it. */
async function unselectedTab(used: AuditedPage, { tabs }: FoundTablist): Promise<FoundTablist['tabs'][number] | null> {
  for (const tab of tabs) if (!(await used.call('isSelected', tab.selector))) return tab;
  return null;
}

async function byMouse(used: AuditedPage, list: FoundTablist): Promise<void> {
  if (!used.isWanted(tabDoesNothing, tabShowsOther)) return;
  const other = await unselectedTab(used, list);
  if (!other) return;
  const happening = await used.whatHappens(other.selector, () => used.clickOn(other));
  if (happening === null || happening.left) return;
  const isStated = happening.before.stated !== happening.after.stated;
  if (isStated) {
    await lookAtPanels(used, other);
    return;
  }
  const isShown = happening.before.text !== happening.after.text;
  const message = isShown ? 'Its panel is shown, and aria-selected stays where it was.' : 'Nothing is shown either.';
  await used.addFinding(tabDoesNothing, other, { state: 'pressed', message });
}

export const tabs: Attempt = {
  isPossible: ({ report }) => report.tablists.length > 0,
  name: 'tabs',
  probes: [tabsWithoutArrows, tabDoesNothing, tabNotByKey, tabShowsOther, focusLostOnPress],
  attempt,
};
