/**
 * The attribute that says which states an element is shown in that only a pointer or a keyboard could cause: the names of
 * them, with spaces between.
 */
export const shownAttribute = 'data-ft-shown';

/** Under which name a pseudo-class of what the reader does is shown (Selectors 4, sections 9.3 to 9.6). */
const shownNames: Readonly<Record<string, string>> = {
  ':hover': 'hover',
  ':active': 'active',
  ':focus': 'focus',
  ':focus-visible': 'focus',
  ':focus-within': 'focus-within',
};

/** What a state of the one list stands for: while it is pressed, an element is hovered too. */
const stateNames: Readonly<Record<string, readonly string[]>> = {
  hover: ['hover'],
  pressed: ['hover', 'active'],
  focus: ['focus'],
};

/** The names that an element is shown under in a state, and those of everything that it stands in. */
export function shownIn(state: string): { readonly self: readonly string[]; readonly around: readonly string[] } {
  const self = stateNames[state] ?? [];
  return { self, around: self.map((name) => (name === 'focus' ? 'focus-within' : name)) };
}

/**
 * A selector that also holds where a state is shown: each pseudo-class of what the reader does becomes itself or its name
 * in the attribute. An attribute counts as much as a pseudo-class, so no rule wins that did not win before.
 */
export function shownSelector(selector: string): string {
  let written = '';
  let index = 0;
  while (index < selector.length) {
    const piece = pieceAt(selector, index);
    index += piece.length;
    const name = Object.hasOwn(shownNames, piece.toLowerCase()) ? shownNames[piece.toLowerCase()] : undefined;
    written += name === undefined ? piece : `:is(${piece}, [${shownAttribute}~='${name}'])`;
  }
  return written;
}

/** A text in quotes, an escaped character, a pseudo-class with its colon, or a single character. */
const piece = /"(?:[^"\\]|\\.)*"|'(?:[^'\\]|\\.)*'|\\.|::?[a-z-]+|./isuy;

function pieceAt(selector: string, index: number): string {
  piece.lastIndex = index;
  return piece.exec(selector)?.[0] ?? selector.charAt(index);
}
