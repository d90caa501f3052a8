import { expect, test } from 'vitest';
import { defineSite } from '../core/site/define.ts';
import { entryPointer } from '../core/site/entry.ts';
import { nested } from '../testing/sites.ts';
import { editedSite, roomPatch, type RoomEdit } from './room-edits.ts';

const withShares = {
  ...nested,
  entries: nested.entries.map((entry) => (entry.id === 'hides' ? { ...entry, flex: '2', priority: 3 } : entry)),
};
const site = defineSite(withShares);

interface Operation {
  readonly op: 'add' | 'replace' | 'remove';
  readonly path: string;
  readonly value?: unknown;
}

/** As a tool would apply it (RFC 6902, section 4), with its demand that what is replaced or removed must be there. */
function apply(document: object, operations: readonly Operation[]): object {
  const patched = structuredClone(document);
  for (const { op, path, value } of operations) {
    const steps = path.split('/').slice(1);
    const field = steps.pop() ?? '';
    const parent = steps.reduce<Record<string, unknown>>(
      (at, step) => at[step] as Record<string, unknown>,
      patched as Record<string, unknown>,
    );
    if (op !== 'add' && !(field in parent)) throw new Error(`${path} is not there`);
    if (op === 'remove') Reflect.deleteProperty(parent, field);
    else parent[field] = value;
  }
  return patched;
}

test.each<[string, readonly (readonly [string, RoomEdit])[]]>([
  ['a share that was not there', [['about', { flex: '1 1 auto' }]]],
  ['another share and priority', [['hides', { flex: '3', priority: 7 }]]],
  ['both taken away', [['hides', { flex: null, priority: null }]]],
  [
    'what is as it was, and what was never there',
    [
      ['hides', { flex: '2' }],
      ['today', { flex: null, priority: null }],
    ],
  ],
  ['an entry below another', [['lantern', { priority: 2 }]]],
])('%s: the patch makes of the site file what was shown', (_, edits) => {
  const edited = new Map(edits);
  const { site: shown, problems } = editedSite(site, edited);
  expect(problems).toEqual([]);
  const patched = apply(withShares, JSON.parse(roomPatch(site, edited)) as Operation[]);
  expect(patched).toEqual(shown?.definition);
});

test('what is as it was needs no patch', () => {
  expect(JSON.parse(roomPatch(site, new Map([['hides', { flex: '2', priority: 3 }]])))).toEqual([]);
});

test('an invalid share is reported, with its place', () => {
  const { site: shown, problems } = editedSite(site, new Map([['about', { flex: 'lots' }]]));
  expect(shown).toBeNull();
  const about = site.entry('about');
  expect(problems).toMatchObject([{ code: 'flex-syntax', pointer: `${about ? entryPointer(about) : ''}/flex` }]);
});
