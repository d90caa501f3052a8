import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';

export const choiceLeaves: Probe = {
  id: 'choice-navigates',
  title: 'Choosing, ticking or typing something leads to another page at once.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['3.2.2'],
  affects: 'Keyboard users: the first arrow key takes them to the next page in the list, wanted or not.',
  remedy: 'Add a button that goes there, or make it a menu of links.',
  standard: 'WCAG 2.2, 3.2.2 On Input, failure F37',
};

export const focusLostOnTyping: Probe = {
  id: 'focus-lost-on-typing',
  title: 'A field loses focus while someone types in it.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['3.2.2'],
  affects: 'Everyone who types, and especially screen reader users: each letter moves them out.',
  remedy: 'Change what is around the field, and keep the field itself in place.',
  standard: 'WCAG 2.2, 3.2.2 On Input; 2.4.3 Focus Order',
};

export const resultsUntold: Probe = {
  id: 'results-unannounced',
  title: 'Typing in a field changes which links are shown, and nothing announces it.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['4.1.3'],
  affects: 'Screen reader users type and do not learn that anything was found.',
  remedy: 'Announce the number of results in a live region: "5 pages match".',
  standard: 'WCAG 2.2, 4.1.3 Status Messages, technique ARIA22',
};

/** Letters that most menus have an item with, and one that few have. */
const written = 'ti';

async function attempt(used: AuditedPage): Promise<void> {
  await tryFields(used);
  await used.reload();
  for (const choice of await used.call('choices')) {
    if (!used.options.isNew(`choice ${choice.html}`)) continue;
    await used.reload();
    const happening = await used.whatHappens(choice.selector, async () => {
      await used.focusOn(choice);
      await used.press(/type="(?:checkbox|radio)"/u.test(choice.html) ? 'Space' : 'ArrowDown');
    });
    if (!happening?.left) continue;
    await used.addFinding(choiceLeaves, choice, { state: 'changed' });
  }
}

/** Writes into each field of the menus, letter by letter. */
async function tryFields(used: AuditedPage): Promise<void> {
  if (!used.isWanted(focusLostOnTyping, resultsUntold, choiceLeaves)) return;
  for (const field of used.report.fields.filter(({ html }) =>
    /^<input(?![^>]*type="(?:checkbox|radio|submit)")/iu.test(html),
  )) {
    if (!used.options.isNew(`field ${field.key} ${field.html}`)) continue;
    await used.reload();
    const happening = await used.whatHappens(field.selector, async () => {
      if (!(await used.focusOn(field))) return false;
      for (const letter of written) await used.press(letter);
      return true;
    });
    if (!happening) continue;
    if (happening.left) {
      await used.addFinding(choiceLeaves, field, { state: 'written in' });
      continue;
    }
    if ((await used.call('focused')) === null) await used.addFinding(focusLostOnTyping, field, { state: 'written in' });
    const { before, after } = happening;
    const isOther = before.drawn.length !== after.drawn.length || happening.shown.length > 0;
    if (isOther && !after.announced && !(await used.call('announcesByRole', field.selector))) {
      await used.addFinding(resultsUntold, field, { state: 'written in' });
    }
  }
}

export const choosing: Attempt = {
  isPossible: ({ report }) => report.counts.choices > 0 || report.fields.length > 0,
  name: 'lists of choices',
  probes: [choiceLeaves, focusLostOnTyping, resultsUntold],
  attempt,
};
