import * as fc from 'fast-check';
import { expect, test } from 'vitest';
import { shareView } from './share.ts';
import { element, slot, type ViewElement, type ViewNode } from './view.ts';

const cell = (label: string, key = label) => element('li', { class: 'cell' }, [label], { key });

test('what is equal keeps its identity, and what changed does not', () => {
  const last = element('ul', {}, [cell('Hides'), cell('Tides'), slot('icon', 'sun')]);
  const next = shareView(last, element('ul', {}, [cell('Hides'), cell('Visit'), slot('icon', 'sun')]));
  expect(next.children[0]).toBe(last.children[0]);
  expect(next.children[1]).not.toBe(last.children[1]);
  expect(next.children[2]).toBe(last.children[2]);
  expect(shareView(last, structuredClone(last))).toBe(last);
  expect(shareView(null, last)).toBe(last);
});

const word = fc.constantFrom('a', 'b');
const { tree } = fc.letrec<{ tree: ViewElement<unknown>; node: ViewNode<unknown> }>((tie) => ({
  node: fc.oneof(
    { maxDepth: 4 },
    word,
    word.map((name) => slot(name)),
    tie('tree'),
  ),
  tree: fc
    .tuple(word, fc.dictionary(word, word), fc.array(tie('node'), { maxLength: 3 }), fc.option(word))
    .map(([tag, attributes, children, type]) => element(tag, attributes, children, type ? { click: { type } } : {})),
}));

test('the answer always equals the next view', () => {
  fc.assert(
    fc.property(tree, tree, (last, next) => {
      expect(shareView(last, structuredClone(next))).toEqual(next);
      expect(shareView(next, structuredClone(next))).toBe(next);
    }),
    { numRuns: 1000 },
  );
});
