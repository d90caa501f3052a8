import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { createScanner } from 'jsonc-parser';
import { format } from 'prettier';
import { describe, expect, test } from 'vitest';
import { insertAt, moveItem, readJsonText, removeAt, setAt, valueAt, type JsonPath } from './json-text.ts';

const site = readFileSync(
  new URL('../../../../../examples/observatory/observatory.site.json', import.meta.url),
  'utf8',
);

/** The lines that are in one text and not in the other, as a reader of a diff sees them. */
function changedLines(before: string, after: string): { readonly gone: string[]; readonly come: string[] } {
  const rest = after.split('\n');
  const gone = before.split('\n').filter((line) => {
    const index = rest.indexOf(line);
    if (index >= 0) rest.splice(index, 1);
    return index < 0;
  });
  return { gone, come: rest };
}

describe('a text as a person wrote it', () => {
  test('a changed label is one line', () => {
    const after = setAt(site, ['entries', 1, 'label'], 'Hides and towers');
    expect(changedLines(site, after)).toEqual({
      gone: ['      "label": "Hides",'],
      come: ['      "label": "Hides and towers",'],
    });
  });

  test.each<readonly [string, (text: string) => string]>([
    ['a field that was not there', (text) => setAt(text, ['entries', 1, 'summary'], 'Four of them', ['entries'])],
    ['a field at the end', (text) => setAt(text, ['entries', 0, 'priority'], 2)],
    ['a field taken away', (text) => removeAt(text, ['entries', 1, 'entries', 0, 'summary'])],
    ['an entry more', (text) => insertAt(text, ['entries'], 1, { id: 'news', label: 'News', href: '/news' })],
    [
      'an entry more below one without any',
      (text) => setAt(text, ['entries', 0, 'entries'], [{ id: 'a', label: 'A' }]),
    ],
    ['the last entry gone', (text) => removeAt(text, ['entries', 1, 'entries', 3])],
    ['the first entry gone', (text) => removeAt(text, ['entries', 0])],
    ['an entry moved up', (text) => moveItem(text, ['entries', 2], { list: ['entries'], index: 0 })],
    ['an entry moved to the end', (text) => moveItem(text, ['entries', 0], { list: ['entries'], index: 4 })],
    [
      'an entry moved into another',
      (text) => moveItem(text, ['entries', 0], { list: ['entries', 1, 'entries'], index: 2 }),
    ],
    ['an entry moved out', (text) => moveItem(text, ['entries', 1, 'entries', 3], { list: ['entries'], index: 2 })],
    ['a path more', (text) => insertAt(text, ['entries', 1, 'entries', 3, 'movedFrom'], 1, '/hides/tower')],
  ])('%s: a formatter has nothing to correct', async (_, edit) => {
    const after = edit(site);
    expect(after).not.toBe(site);
    expect(await format(after, { parser: 'json', printWidth: 120 })).toBe(after);
  });

  test('comments stay, and one above an entry goes with it', () => {
    const text = `{
  // the pages
  "entries": [
    // open all year
    { "id": "hides", "label": "Hides" }, // four
    /* the tower
       is new */
    { "id": "tower", "label": "Tower" }
  ]
}
`;
    expect(moveItem(text, ['entries', 1], { list: ['entries'], index: 0 })).toBe(`{
  // the pages
  "entries": [
    /* the tower
       is new */
    { "id": "tower", "label": "Tower" },
    // open all year
    { "id": "hides", "label": "Hides" } // four
  ]
}
`);
    expect(setAt(text, ['entries', 0, 'label'], 'Our hides')).toBe(text.replace('"Hides"', '"Our hides"'));
  });

  test('a file with tabs and the line ends of another system keeps them', () => {
    const text = '{\r\n\t"name": "Point",\r\n\t"entries": []\r\n}\r\n';
    const after = insertAt(text, ['entries'], 0, { id: 'a', label: 'A' });
    expect(after).toBe(
      '{\r\n\t"name": "Point",\r\n\t"entries": [\r\n\t\t{\r\n\t\t\t"id": "a",\r\n\t\t\t"label": "A"\r\n\t\t}\r\n\t]\r\n}\r\n',
    );
  });

  test('what is on one line stays on one line', () => {
    expect(setAt('{"name":"A","entries":[]}', ['name2'], [1, 2])).toBe('{"name":"A","entries":[],"name2":[1,2]}');
    expect(insertAt('{\n  "main": ["a", "b"]\n}\n', ['main'], 1, 'c')).toBe('{\n  "main": ["a", "c", "b"]\n}\n');
  });
});

const keys = ['a', 'b', 'c', '__proto__', 'x/y~z'];
const json = fc.letrec((tie) => ({
  value: fc.oneof(
    { maxDepth: 4 },
    fc.constantFrom<unknown>('text', 'a "b" \\ // no comment', '', 3, -0.5, true, null),
    fc.array(tie('value'), { maxLength: 4 }),
    fc
      .uniqueArray(fc.constantFrom(...keys), { maxLength: 4 })
      .chain((names) =>
        fc
          .tuple(...names.map(() => tie('value')))
          .map(
            (values) =>
              JSON.parse(
                `{${names.map((name, index) => `${JSON.stringify(name)}:${JSON.stringify(values[index])}`).join(',')}}`,
              ) as unknown,
          ),
      ),
  ),
})).value;

/** A text of a value, in one of many hands: each list and object on one line or over several, with comments here and there. */
function writtenBy(value: unknown, choose: (most: number) => number, indent = '', eol = '\n', unit = '  '): string {
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  const members = Array.isArray(value)
    ? value.map((member) => writtenBy(member, choose, indent + unit, eol, unit))
    : Object.entries(value).map(
        ([name, member]) => `${JSON.stringify(name)}: ${writtenBy(member, choose, indent + unit, eol, unit)}`,
      );
  const [open, close] = Array.isArray(value) ? ['[', ']'] : ['{', '}'];
  if (members.length === 0) return open + close;
  if (choose(3) === 0 && members.every((member) => !member.includes('\n') && !member.includes('//'))) {
    return `${open}${members.join(', ')}${close}`;
  }
  const lines = members.map((member, index) => {
    const above = choose(4) === 0 ? `${indent}${unit}// above ${choose(1000)}${eol}` : '';
    const comma = index < members.length - 1 ? ',' : '';
    const beside = choose(4) === 0 ? ` // beside ${choose(1000)}` : '';
    return `${above}${indent}${unit}${member}${comma}${beside}`;
  });
  return `${open}${eol}${lines.join(eol)}${eol}${indent}${close}`;
}

function commentsIn(text: string): string[] {
  const scanner = createScanner(text, false);
  const comments: string[] = [];
  for (let kind = scanner.scan() as number; kind !== 17; kind = scanner.scan() as number) {
    if (kind === 12)
      comments.push(text.slice(scanner.getTokenOffset(), scanner.getTokenOffset() + scanner.getTokenLength()).trim());
  }
  return comments.sort();
}

function pathsOf(value: unknown, at: JsonPath = []): JsonPath[] {
  if (typeof value !== 'object' || value === null) return [at];
  return [
    at,
    ...Object.entries(value).flatMap(([name, member]) =>
      pathsOf(member, [...at, Array.isArray(value) ? Number(name) : name]),
    ),
  ];
}

/** The same edit of the value itself. */
function edited(value: unknown, path: JsonPath, next: unknown): unknown {
  const [step, ...rest] = path;
  if (step === undefined) return next;
  if (Array.isArray(value)) {
    if (rest.length === 0 && next === undefined) return value.filter((_, index) => index !== step);
    return value.map((member: unknown, index) => (index === step ? edited(member, rest, next) : member));
  }
  const fields = Object.entries(value as object).flatMap(([name, member]: [string, unknown]) => {
    if (name !== step) return [[name, member]];
    return rest.length === 0 && next === undefined ? [] : [[name, edited(member, rest, next)]];
  });
  return JSON.parse(
    `{${fields.map(([name, member]) => `${JSON.stringify(name)}:${JSON.stringify(member)}`).join(',')}}`,
  );
}

describe('any text', () => {
  const documents = fc.record({
    value: fc.tuple(json, json),
    seed: fc.infiniteStream(fc.nat(10_000)),
    eol: fc.constantFrom('\n', '\r\n'),
  });
  const textOf = ({ value, seed, eol }: { value: unknown; seed: Stream; eol: string }) => {
    return writtenBy(value, (most) => (seed.next().value as number) % most, '', eol, '\t');
  };
  type Stream = Iterator<number>;

  test('a value that is replaced or taken away leaves the others, and every comment', () => {
    fc.assert(
      fc.property(
        documents,
        fc.nat(),
        fc.constantFrom<unknown>('new', 7, undefined, ['p', 'q'], { deep: { er: 1 } }),
        (document, choice, next) => {
          const text = textOf(document);
          const paths = pathsOf(document.value).filter((path) => path.length > 0);
          const path = paths[choice % paths.length] ?? [];
          const after = setAt(text, path, next);
          expect(readJsonText(after)?.value).toEqual(edited(document.value, path, next));
          // The comments within what is replaced go with it.
          const inside = commentsIn(textWithin(text, path));
          const expected = commentsIn(text);
          for (const comment of inside) expected.splice(expected.indexOf(comment), 1);
          const missing = expected.filter(
            (comment) => !commentsIn(after).includes(comment) && !isBeside(text, path, comment),
          );
          expect(missing).toEqual([]);
        },
      ),
      { numRuns: 400 },
    );
  });

  test('a member more is where it was asked for', () => {
    fc.assert(
      fc.property(documents, fc.nat(), fc.nat(), (document, choice, place) => {
        const text = textOf(document);
        const lists = pathsOf(document.value).filter((path) => Array.isArray(valueAt(text, path)));
        const list = lists[choice % lists.length] ?? [];
        const members = valueAt(text, list) as unknown[];
        const index = place % (members.length + 1);
        const after = insertAt(text, list, index, { id: 'new', names: ['x'] });
        const expected = [...members.slice(0, index), { id: 'new', names: ['x'] }, ...members.slice(index)];
        expect(readJsonText(after)?.value).toEqual(
          list.length === 0 ? expected : edited(document.value, list, expected),
        );
        expect(commentsIn(after)).toEqual(commentsIn(text));
      }),
      { numRuns: 400 },
    );
  });

  test('a member that moves is in one place, and no comment is lost', () => {
    fc.assert(
      fc.property(documents, fc.nat(), fc.nat(), fc.nat(), (document, one, other, place) => {
        const text = textOf(document);
        const all = pathsOf(document.value);
        const members = all.filter((path) => typeof path.at(-1) === 'number');
        const from = members[one % members.length] ?? [0];
        const lists = all.filter(
          (path) => Array.isArray(valueAt(text, path)) && !from.every((step, index) => step === path[index]),
        );
        const list = lists[other % lists.length] ?? [];
        const index = place % ((valueAt(text, list) as unknown[]).length + 1);
        const moved = valueAt(text, from);
        // With a mark in the place of what leaves, the places of others stay.
        const mark = { gone: true };
        const target = valueAt(text, list) as unknown[];
        const put = (value: unknown) => {
          const next = [...target];
          next.splice(index, 0, moved);
          return list.length === 0 ? next : edited(value, list, next);
        };
        const marked = edited(document.value, from, mark);
        const isIn = list.length < from.length && list.every((step, at) => step === from[at]);
        if (isIn) return;
        const expected = JSON.stringify(withoutMark(put(marked)));
        const after = moveItem(text, from, { list, index });
        const isSame = from.length - 1 === list.length && from.slice(0, -1).every((step, at) => step === list[at]);
        if (!isSame) expect(JSON.stringify(readJsonText(after)?.value)).toBe(expected);
        expect(commentsIn(after)).toEqual(commentsIn(text));
      }),
      { numRuns: 400 },
    );
  });
});

function withoutMark(value: unknown): unknown {
  if (typeof value !== 'object' || value === null) return value;
  if (Array.isArray(value))
    return value.filter((member) => JSON.stringify(member) !== '{"gone":true}').map(withoutMark);
  return JSON.parse(
    `{${Object.entries(value)
      .map(([name, member]) => `${JSON.stringify(name)}:${JSON.stringify(withoutMark(member))}`)
      .join(',')}}`,
  );
}

function textWithin(text: string, path: JsonPath): string {
  const marker = setAt(text, path, '@@');
  const start = marker.indexOf('"@@"');
  const tail = marker.length - start - 4;
  return text.slice(start, text.length - tail);
}

/** Whether a comment stands on the line of what is taken away. */
function isBeside(text: string, path: JsonPath, comment: string): boolean {
  const end = setAt(text, path, '@@');
  const line = end.split('\n').find((each) => each.includes('"@@"')) ?? '';
  return line.includes(comment);
}
