import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';

export const choiceLeaves: Probe = {
  id: 'choice-leaves',
  title: 'The page is left as soon as something else is chosen in a list.',
  severity: 'warning',
  certainty: 'likely',
  wcag: ['3.2.2'],
  hurts:
    'People who use the keyboard: the first press of an arrow takes them to the next page of the list, wanted or not.',
  remedy: 'Put a button beside the list that goes there, or make it a menu of links.',
  standard: 'WCAG 2.2, 3.2.2 On Input, failure F37',
};

async function attempt(used: AuditedPage): Promise<void> {
  await used.reload();
  for (const choice of await used.call('choices')) {
    if (!used.options.isNew(`choice ${choice.html}`)) continue;
    await used.reload();
    const happening = await used.whatHappens(choice.selector, async () => {
      await used.call('focusOn', choice.selector);
      await used.page.keyboard.press('ArrowDown');
    });
    if (!happening?.left) continue;
    await used.reload();
    await used.tell(choiceLeaves, choice, { state: 'changed' });
  }
}

export const choosing: Attempt = { name: 'lists of choices', probes: [choiceLeaves], attempt };
