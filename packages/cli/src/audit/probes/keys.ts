import type { FoundComposite } from 'fair-trail/internal/audit';
import type { Attempt } from '../attempt.ts';
import { isHarmfulLabel } from '../../browser/harmful.ts';
import { controlMouseOnly } from './pointer.ts';
import type { AuditedPage } from '../audited-page.ts';
import type { Probe } from '../probe.ts';

export const rolesWithoutArrows: Probe = {
  id: 'role-without-arrows',
  title: 'Arrow keys do not move between the items of a composite role.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  affects: 'Screen reader users hear that there is a menu or a tree, press the arrow keys, and nothing happens.',
  remedy: 'Remove the role: a list of links is a list. Or move focus with the arrow keys.',
  standard: 'ARIA Authoring Practices: menu, menubar, tree view, toolbar, radio group and listbox patterns',
};

export const severalStops: Probe = {
  id: 'several-tab-stops',
  title: 'Tab stops at every item of a group that should have one stop.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Keyboard users press Tab once per item instead of once per group.',
  remedy: 'Set tabindex="-1" on all items but one, and move it with the arrow keys.',
  standard: 'ARIA Authoring Practices, keyboard navigation inside components: roving tabindex',
};

export const endsWithoutKeys: Probe = {
  id: 'home-and-end-missing',
  title: 'Home and End do not move to the first and last item of a group.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Keyboard users in a long menu or tree press an arrow key for every item.',
  remedy: 'Let Home go to the first item, and End to the last.',
  standard: 'ARIA Authoring Practices: menu, menubar and tree view patterns, keyboard interaction',
};

export const treeKeysMissing: Probe = {
  id: 'tree-keys-missing',
  title: 'The right arrow does not open a closed item of a tree.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.1.1'],
  affects: 'Screen reader users hear of a closed tree item and cannot open it with the usual key.',
  remedy: 'Open it with ArrowRight and close it with ArrowLeft, reversed in right-to-left text; or remove the roles.',
  standard: 'ARIA Authoring Practices, tree view pattern: keyboard interaction',
};

export const menuButtonKeys: Probe = {
  id: 'menu-button-without-focus',
  title: 'A button opens a menu of commands, and focus stays outside of it.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Screen reader users hear of a menu, press an arrow key, and nothing happens.',
  remedy: 'Move focus to the first item when Enter, Space or ArrowDown opens the menu; or open a plain list of links.',
  standard: 'ARIA Authoring Practices, menu button pattern: keyboard interaction',
};

export const menuButtonEscape: Probe = {
  id: 'menu-ignores-escape',
  title: 'Escape does not close a menu of commands.',
  severity: 'warning',
  certainty: 'likely',
  wcag: [],
  affects: 'Keyboard users cannot leave the menu as they leave every other one.',
  remedy: 'Close it on Escape, and return focus to its button.',
  standard: 'ARIA Authoring Practices, menu and menubar pattern: Escape',
};

export const letterActs: Probe = {
  id: 'single-key-acts',
  title: 'A single letter or punctuation key triggers an action anywhere on the page.',
  severity: 'error',
  certainty: 'likely',
  wcag: ['2.1.4'],
  affects: 'Speech input users: each word types its letters. People with tremor press keys by accident.',
  remedy: 'Use a key with Control or Alt; or let people turn it off, or restrict it to the focused component.',
  standard: 'WCAG 2.2, 2.1.4 Character Key Shortcuts, failure F99',
};

const probes = [
  rolesWithoutArrows,
  severalStops,
  endsWithoutKeys,
  treeKeysMissing,
  menuButtonKeys,
  menuButtonEscape,
  controlMouseOnly,
];

async function attempt(used: AuditedPage): Promise<void> {
  await used.reload();
  for (const group of await used.call('compositesNow')) {
    if (!used.options.isNew(`keys ${group.fingerprint}`)) continue;
    await used.reload();
    await tryGroup(used, group, 'focus');
  }
  await tryMenuButtons(used);
}

/** The keys that go on and back along a group, those that are most likely first. */
function arrowsOf({ isVertical, isRightToLeft, role }: FoundComposite): readonly string[] {
  const along = isRightToLeft ? ['ArrowLeft', 'ArrowRight'] : ['ArrowRight', 'ArrowLeft'];
  const down = ['ArrowDown', 'ArrowUp'];
  if (role === 'tree') return down;
  return isVertical ? [...down, ...along] : [...along, ...down];
}

async function tryGroup(used: AuditedPage, group: FoundComposite, state: string): Promise<void> {
  const stops = group.items.filter(({ isStop }) => isStop);
  const first = stops[0] ?? group.items[0];
  if (!first || !(await used.focusOn(first))) return;
  const isTablist = group.role === 'tablist';
  const works = await movesFocus(used, arrowsOf(group));
  if (works === 'left') return;
  // Of lists of tabs, another probe reports that.
  if (!works && !isTablist) {
    const isReached = stops.length === group.items.length;
    const message = isReached ? 'Tab stops at each of them instead.' : 'Tab does not stop at the others either.';
    await used.addFinding(rolesWithoutArrows, group, { state, message: `Its role is ${group.role}. ${message}` });
    return;
  }
  if (!works) return;
  if (stops.length > 1 && group.role !== 'toolbar') await used.addFinding(severalStops, group, { state });
  if (['menu', 'menubar', 'tree'].includes(group.role)) await tryEnds(used, group, state);
  if (group.role === 'tree') await tryTree(used, group, state);
  if (['menu', 'menubar', 'listbox'].includes(group.role) && state === 'focus') await tryEnter(used, group);
}

/** An item that is no link and no button by itself: what the mouse does, Enter does too. */
async function tryEnter(used: AuditedPage, { items }: FoundComposite): Promise<void> {
  const item = items.find(({ html }) => !/^<(?:a|button|summary)\b/iu.test(html) && !isHarmfulLabel(html));
  if (!item || !used.isWanted(controlMouseOnly)) return;
  await used.reload();
  const byMouse = await used.whatHappens(item.selector, () => used.clickOn(item));
  if (!byMouse || (!byMouse.left && byMouse.shown.length === 0 && byMouse.before.text === byMouse.after.text)) return;
  for (const key of ['Enter', 'Space']) {
    await used.reload();
    const byKey = await used.whatHappens(item.selector, async () => {
      if (!(await used.focusOn(item))) return false;
      await used.press(key);
      return true;
    });
    if (byKey?.left === true || (byKey && (byKey.shown.length > 0 || byKey.before.text !== byKey.after.text))) return;
  }
  await used.addFinding(controlMouseOnly, item, { state: 'focus' });
}

/** Whether any of some keys moves focus, or the item that is active; `left` where it left the page. */
async function movesFocus(used: AuditedPage, keys: readonly string[]): Promise<boolean | 'left'> {
  for (const key of keys) {
    const before = await used.call('focused');
    const outcome = await used.whatHappens(before?.selector ?? 'body', () => used.press(key));
    if (outcome === null || outcome.left) return 'left';
    const after = await used.call('focused');
    if (after?.number !== before?.number || after?.active !== before?.active) return true;
    // A key may open what is below, and go on in there with the next one.
    if (outcome.shown.length > 0) return true;
  }
  return false;
}

async function tryEnds(used: AuditedPage, { items, ...group }: FoundComposite, state: string): Promise<void> {
  if (items.length < 3 || !used.isWanted(endsWithoutKeys)) return;
  const before = await used.call('focused');
  await used.press('End');
  await used.call('rest');
  const atEnd = await used.call('focused');
  await used.press('Home');
  await used.call('rest');
  const atHome = await used.call('focused');
  const isMoved =
    atEnd?.number !== before?.number || atEnd?.active !== before?.active || atHome?.number !== atEnd?.number;
  if (!isMoved) await used.addFinding(endsWithoutKeys, group, { state });
}

async function tryTree(used: AuditedPage, group: FoundComposite, state: string): Promise<void> {
  const closed = group.items.find(({ isClosed }) => isClosed);
  if (!closed || !used.isWanted(treeKeysMissing)) return;
  await used.reload();
  if (!(await used.focusOn(closed))) return;
  const key = group.isRightToLeft ? 'ArrowLeft' : 'ArrowRight';
  const outcome = await used.whatHappens(closed.selector, () => used.press(key));
  if (!outcome || outcome.left || outcome.shown.length > 0 || outcome.after.expanded === 'true') return;
  await used.addFinding(treeKeysMissing, closed, { state, message: `${key} does nothing.` });
}

/** By Enter, as the pattern says; then by the keys of the menu itself. */
async function tryMenuButtons(used: AuditedPage): Promise<void> {
  if (!used.isWanted(rolesWithoutArrows, menuButtonKeys, menuButtonEscape)) return;
  await used.reload();
  for (const button of (await used.call('menuButtons')).slice(0, 4)) {
    if (!used.options.isNew(`menu button ${button.html}`)) continue;
    await used.reload();
    const before = new Set((await used.call('compositesNow')).map(({ selector }) => selector));
    const outcome = await used.whatHappens(button.selector, async () => {
      if (!(await used.focusOn(button))) return false;
      await used.press('Enter');
      return true;
    });
    if (!outcome || outcome.left || outcome.shown.length === 0) continue;
    const menu = (await used.call('compositesNow')).find(
      ({ selector, role }) => role === 'menu' && !before.has(selector),
    );
    if (!menu) continue;
    const isIn = await used.call('hasFocusIn', menu.selector, []);
    if (!isIn) await used.addFinding(menuButtonKeys, button, { state: 'open' });
    if (used.options.isNew(`keys ${menu.fingerprint}`)) await tryGroup(used, menu, 'open');
    await used.press('Escape');
    await used.call('rest');
    if (await used.call('isStillOpen', outcome.shown)) await used.addFinding(menuButtonEscape, menu, { state: 'open' });
  }
}

const letters = 'a b c d e f g h i j k l m n o p q r s t u v w x y z 0 1 2 3 4 5 6 7 8 9 / ? . , [ ]'.split(' ');

/** Presses every letter at once where something listens for keys; then each by itself where any did something. */
async function tryLetters(used: AuditedPage): Promise<void> {
  await used.reload();
  // A script that leaves the page for a letter loses the answer.
  const isHeard = await used.call('hearsLetters', letters).catch(() => true);
  if (!isHeard) return;
  await used.reload();
  if (!(await didAct(used, letters))) return;
  for (const letter of letters) {
    await used.reload();
    if (!(await didAct(used, [letter]))) continue;
    await used.addFinding(
      letterActs,
      { selector: 'body', html: '<body>' },
      { state: 'pressed', message: `It is “${letter}”.` },
    );
    return;
  }
}

async function didAct(used: AuditedPage, keys: readonly string[]): Promise<boolean> {
  await used.call('leaveFocus');
  const before = await used.call('focused');
  const outcome = await used.whatHappens('body', async () => {
    for (const key of keys) await used.press(key);
  });
  if (outcome === null) return false;
  if (outcome.left || outcome.shown.length > 0 || outcome.before.text !== outcome.after.text) return true;
  const after = await used.call('focused');
  return after !== null && after.number !== before?.number;
}

export const keys: Attempt = {
  isPossible: ({ report: { counts } }) => counts.composites > 0 || counts.menuButtons > 0,
  name: 'keys of roles',
  probes,
  attempt,
};

export const lettersOfPage: Attempt = {
  name: 'letters',
  probes: [letterActs],
  isPossible: ({ options, report }) => options.isWidest && report.hearsKeys,
  attempt: async (used) => {
    if (used.options.isNew('letters')) await tryLetters(used);
  },
};
