import { accessibleName } from '../../reading/accessible-name.ts';
import { roleOf } from '../../reading/role.ts';
import type { Violation, PageContext, Rule } from '../rule.ts';
import { isExposed } from '../../reading/visible.ts';
import { wordsOf } from '../../reading/words.ts';

export const linkWithoutName: Rule = {
  id: 'link-without-name',
  title: 'A link has no accessible name.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.4', '4.1.2'],
  affects: 'Screen reader users hear only "link", or the address spelled out.',
  remedy: 'Write text into the link, or give its image an alternative text.',
  standard: 'Accessible Name and Description Computation 1.2, section 4.3; WCAG 2.2, 2.4.4',
  check: function* ({ links }: PageContext): Iterable<Violation> {
    for (const link of links) {
      if (isExposed(link) && accessibleName(link, roleOf(link)) === '') yield { element: link };
    }
  },
};

export const controlWithoutName: Rule = {
  id: 'control-without-name',
  title: 'A button has no accessible name.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['4.1.2'],
  affects: 'Screen reader users hear only "button". Speech input users have no word to say.',
  remedy: 'Write text into the button, or name it with aria-label if it shows only an icon.',
  standard: 'WAI-ARIA 1.2, section 5.2.8.4; WCAG 2.2, 4.1.2',
  check: function* ({ controls }: PageContext): Iterable<Violation> {
    for (const control of controls) {
      const role = roleOf(control);
      if (role === 'button' && isExposed(control) && accessibleName(control, role) === '') yield { element: control };
    }
  },
};

/** What a voice would say of a label: letters and digits, in words. */
const spoken = (text: string) => wordsOf(text).join(' ');

export const labelNotInName: Rule = {
  id: 'label-not-in-name',
  title: 'The accessible name does not contain the visible label.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.5.3'],
  affects: 'Speech input users say what they see, and nothing happens.',
  remedy: 'Start the accessible name with the visible words, or remove aria-label.',
  standard: 'WCAG 2.2, 2.5.3 Label in Name',
  check: function* ({ links, controls }: PageContext): Iterable<Violation> {
    for (const element of [...links, ...controls]) {
      // Only what renames its content can differ from it.
      if (!element.hasAttribute('aria-label') && !element.hasAttribute('aria-labelledby')) continue;
      const label = 'innerText' in element ? spoken(element.innerText) : '';
      // A sign, or a single letter, is no label that anyone would say.
      if (label.length < 2 || !isExposed(element)) continue;
      const name = accessibleName(element, roleOf(element));
      if (!` ${spoken(name)} `.includes(` ${label} `)) {
        yield { element, message: `It shows “${element.innerText.trim()}”, and its accessible name is “${name}”.` };
      }
    }
  },
};
