import fc from 'fast-check';
import { expect, test } from 'vitest';
import type { MenuItem } from '../site/menu-item.ts';
import { isLarge, mostDrawn, partsOf, pieceSize, withPiece, type ShownPieces } from './pieces.ts';

const item = (label: string, items: readonly MenuItem[] = []): MenuItem => ({
  ...{ kind: 'link', entry: null, params: {}, action: null, choice: null, label, longest: null, href: `/${label}` },
  ...{ summary: null, badge: null, spokenBadge: null, icon: null, mark: null, items },
});

const list = (length: number, marked = -1) =>
  Array.from({ length }, (_, index) => ({ ...item(String(index)), mark: index === marked ? ('page' as const) : null }));

test('items and gaps together are the whole list, in its order, whatever was asked for', () => {
  const length = fc.integer({ min: 0, max: 1500 });
  const asked = fc.array(fc.integer({ min: 0, max: 20 }));
  fc.assert(
    fc.property(length, fc.integer({ min: -1, max: 1499 }), asked, (size, marked, pieces) => {
      const items = list(size, marked);
      let shown: ShownPieces = new Map();
      for (const piece of pieces) shown = withPiece(shown, { type: 'more', list: 'a', piece });
      let at = 0;
      let wasGap = false;
      for (const part of partsOf(items, 'a', shown)) {
        if ('gap' in part) {
          expect(wasGap).toBe(false);
          expect(part.gap.piece * pieceSize).toBe(at);
          at += part.gap.count;
        } else {
          expect(part.index).toBe(at);
          expect(part.item).toBe(items[at]);
          at += 1;
        }
        wasGap = 'gap' in part;
      }
      expect(at).toBe(size);
    }),
  );
});

test('what is marked is shown, and so is what was asked for; each press takes a piece off its gap', () => {
  const items = list(1000, 555);
  const shownOf = (pieces: ShownPieces) =>
    partsOf(items, '', pieces).flatMap((part) => ('gap' in part ? [] : [part.index]));
  expect(shownOf(new Map())).toContain(555);
  let pieces: ShownPieces = new Map();
  for (let press = 0; press < 8; press += 1) {
    const gap = partsOf(items, '', pieces).find((part) => 'gap' in part);
    expect(gap).toBeDefined();
    if (gap && 'gap' in gap) pieces = withPiece(pieces, { type: 'more', list: '', piece: gap.gap.piece });
  }
  expect(shownOf(pieces)).toHaveLength(1000);
  expect(partsOf(items, 'another list', pieces).some((part) => 'gap' in part)).toBe(true);
});

test('a menu is large by all that is in it, at any depth', () => {
  const groups = (count: number) => Array.from({ length: count }, (_, index) => item(`g${index}`, list(99)));
  expect(isLarge(groups(20))).toBe(false);
  expect(isLarge(groups(21))).toBe(true);
  expect(isLarge(list(mostDrawn))).toBe(false);
  expect(isLarge(list(mostDrawn + 1))).toBe(true);
});
