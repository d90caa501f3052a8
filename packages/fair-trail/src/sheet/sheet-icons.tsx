import type { ReactNode } from 'react';

/** Draws the symbols of a sprite. Each drawing is a copy, since a frame sees nothing of the document around it. */
export function iconsOf(sprite: string): (name: string) => ReactNode {
  const known = symbolsOf(sprite);
  return function Icon(name: string) {
    const symbol = known.get(name);
    if (!symbol) return null;
    return (
      <svg
        className="ft-sheet-icon"
        viewBox={symbol.getAttribute('viewBox') ?? '0 0 24 24'}
        aria-hidden="true"
        ref={(element) => {
          element?.replaceChildren(
            ...[...symbol.childNodes].map((node) => element.ownerDocument.importNode(node, true)),
          );
        }}
      />
    );
  };
}

/** The names of the drawings in a sprite. */
export function iconNames(sprite: string): readonly string[] {
  return [...symbolsOf(sprite).keys()];
}

function symbolsOf(sprite: string): ReadonlyMap<string, Element> {
  const symbols = new DOMParser().parseFromString(sprite, 'image/svg+xml').querySelectorAll('symbol[id]');
  return new Map([...symbols].map((symbol) => [symbol.id, symbol]));
}
