import type { WebElement, InputSource, KeyAction, PointerAction } from './driver.ts';

/** The characters that the section "Keyboard actions" of the WebDriver standard has for keys without one. */
const characters: Readonly<Record<string, string>> = {
  Backspace: '\uE003',
  Tab: '\uE004',
  Enter: '\uE006',
  Shift: '\uE008',
  Control: '\uE009',
  Alt: '\uE00A',
  Escape: '\uE00C',
  Space: ' ',
  PageUp: '\uE00E',
  PageDown: '\uE00F',
  End: '\uE010',
  Home: '\uE011',
  ArrowLeft: '\uE012',
  ArrowUp: '\uE013',
  ArrowRight: '\uE014',
  ArrowDown: '\uE015',
  Delete: '\uE017',
  Meta: '\uE03D',
};

/** The character that stands for a key, which is named as `KeyboardEvent.key` names it. */
export function characterOf(key: string): string {
  return characters[key] ?? key;
}

/** One key, with those held that stand before it: `Shift+Tab`. */
export function keyPress(key: string): readonly InputSource[] {
  // The plus itself is a key too.
  const held = key.length > 1 ? key.split('+').slice(0, -1) : [];
  const last = key.length > 1 ? key.slice(key.lastIndexOf('+') + 1) : key;
  const down = (one: string): KeyAction => ({ type: 'keyDown', value: characterOf(one) });
  const up = (one: string): KeyAction => ({ type: 'keyUp', value: characterOf(one) });
  return [
    {
      type: 'key',
      id: 'keyboard',
      actions: [...held.map(down), down(last), up(last), ...held.toReversed().map(up)],
    },
  ];
}

/** A press on the middle of an element, with the mouse or a finger. */
export function pointerPress(
  element: WebElement,
  by: 'mouse' | 'touch',
  { count = 1, button = 0 }: { readonly count?: number; readonly button?: number } = {},
): readonly InputSource[] {
  const once = [
    { type: 'pointerDown', button },
    { type: 'pointerUp', button },
  ] as const;
  return [
    {
      type: 'pointer',
      id: by,
      parameters: { pointerType: by },
      actions: [
        { type: 'pointerMove', x: 0, y: 0, origin: element },
        ...Array.from({ length: count }, () => once).flat(),
      ],
    },
  ];
}

/** The mouse onto the middle of an element; it moves, even where it is there already, as a hand does. */
export function pointerOver(element: WebElement): readonly InputSource[] {
  return moves([
    { type: 'pointerMove', x: 1, y: 1, origin: element },
    { type: 'pointerMove', x: 0, y: 0, origin: element },
  ]);
}

/** The mouse away from everything. */
export function pointerAway(): readonly InputSource[] {
  return moves([{ type: 'pointerMove', x: 0, y: 0, origin: 'viewport' }]);
}

function moves(actions: readonly PointerAction[]): readonly InputSource[] {
  return [{ type: 'pointer', id: 'mouse', parameters: { pointerType: 'mouse' }, actions }];
}
