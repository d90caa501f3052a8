import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { newHistory, rebase, record, redo, settle, undo, type EditHistory, type FileTexts } from './edit-history.ts';

const texts = (site: string, tokens = '{}'): FileTexts => ({ site, tokens });

describe('undo and redo', () => {
  test('any sequence of edits is undone to the beginning, text by text, and done again', () => {
    const edits = fc.array(fc.tuple(fc.string(), fc.string(), fc.constantFrom(null, 'a', 'b')), { maxLength: 12 });
    fc.assert(
      fc.property(edits, (list) => {
        let history = newHistory(texts('', ''));
        for (const [site, tokens, key] of list) history = record(history, { site, tokens }, 'edit', key);
        const end = history.present;
        const states: FileTexts[] = [end];
        while (history.past.length > 0) states.push((history = undo(history)).present);
        expect(history.present).toEqual(texts('', ''));
        for (const state of states.toReversed().slice(1)) {
          history = redo(history);
          expect(history.present).toEqual(state);
        }
        expect(history.present).toEqual(end);
      }),
    );
  });

  test('letters of one field are one step, until the field is left', () => {
    let history = newHistory(texts('a'));
    for (const site of ['ab', 'abc']) history = record(history, texts(site), 'label', 'label of hides');
    expect(history.past).toHaveLength(1);
    history = record(settle(history), texts('abcd'), 'label', 'label of hides');
    expect(history.past).toHaveLength(2);
    expect(undo(history).present.site).toBe('abc');
    expect(undo(undo(history)).present.site).toBe('a');
  });

  test('typing back to what was leaves no step', () => {
    let history = record(newHistory(texts('a')), texts('ab'), 'label', 'key');
    history = record(history, texts('a'), 'label', 'key');
    expect(history.past).toEqual([]);
  });
});

const lines = (...list: readonly string[]) => list.map((line) => `${line}\n`).join('');

test('after a change outside, undo takes back what was done here, and not what others did', () => {
  const base = texts(lines('one', 'two', 'three', 'four', 'five'));
  let history: EditHistory = newHistory(base);
  history = record(history, texts(lines('ONE', 'two', 'three', 'four', 'five')), 'first');
  history = record(history, texts(lines('ONE', 'two', 'THREE', 'four', 'five')), 'second');
  history = undo(history);
  const others = texts(lines('one', 'two', 'three', 'four', 'five', 'six'));
  const moved = rebase(history, base, others, texts(lines('ONE', 'two', 'three', 'four', 'five', 'six')));
  expect(undo(moved).present).toEqual(others);
  expect(redo(moved).present.site).toBe(lines('ONE', 'two', 'THREE', 'four', 'five', 'six'));
});
