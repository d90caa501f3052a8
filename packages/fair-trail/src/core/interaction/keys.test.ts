import { expect, test } from 'vitest';
import { keyTarget, type KeyWalk } from './keys.ts';

const row: KeyWalk = { key: '', index: 1, count: 3, orientation: 'horizontal' };

test.each<[Partial<KeyWalk>, number | null]>([
  [{ key: 'ArrowRight' }, 2],
  [{ key: 'ArrowLeft' }, 0],
  [{ key: 'ArrowRight', direction: 'rtl' }, 0],
  [{ key: 'ArrowLeft', direction: 'rtl' }, 2],
  [{ key: 'ArrowDown' }, null],
  [{ key: 'ArrowDown', orientation: 'vertical' }, 2],
  [{ key: 'ArrowUp', orientation: 'vertical', direction: 'rtl' }, 0],
  [{ key: 'Home' }, 0],
  [{ key: 'End' }, 2],
  [{ key: 'ArrowRight', index: 2 }, null],
  [{ key: 'ArrowRight', index: 2, wraps: true }, 0],
  [{ key: 'ArrowLeft', index: 0, wraps: true }, 2],
  [{ key: 'ArrowRight', index: -1 }, 0],
  [{ key: 'ArrowLeft', index: -1 }, 2],
  [{ key: 'Home', count: 0, index: -1 }, null],
  [{ key: 'Tab' }, null],
])('%j leads to %j', (walk, expected) => {
  expect(keyTarget({ ...row, ...walk })).toBe(expected);
});
