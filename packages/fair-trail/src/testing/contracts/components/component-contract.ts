import { afterEach, expect } from 'vitest';
import { registerContract, type DefinePart, type SkippedParts } from '../contract.ts';

/** As `registerContract`, for components that are mounted in the page of the test: after each test their markup must be sound. */
export function componentContract(name: string, skipped: SkippedParts, define: (part: DefinePart) => void): void {
  registerContract(name, skipped, (part) => {
    afterEach(() => expect(unsoundMarkup(), 'markup that is not sound').toEqual([]));
    define(part);
  });
}

/** What no state of any component may have, as the tags of elements and what is wrong with each. */
function unsoundMarkup(): readonly string[] {
  const found: string[] = [];
  const look = (selector: string, fault: string, isWrong: (element: HTMLElement) => boolean = () => true) => {
    for (const element of document.querySelectorAll<HTMLElement>(selector)) {
      if (isWrong(element)) found.push(`${element.outerHTML.replace(/>.*$/su, '>')} ${fault}`);
    }
  };
  look('button:not([type])', 'would send a form that it stands in');
  // While it is open only: what is made when it is opened is not there before.
  look('[aria-expanded="true"]', 'controls nothing that is there', (element) => {
    return document.getElementById(element.getAttribute('aria-controls') ?? '') === null;
  });
  // Some browsers take a list without bullets for no list; the role says that it is one.
  look('nav :is(ul, ol):not([role="list"])', 'is a list without bullets, and no list for everyone', (element) => {
    return getComputedStyle(element).listStyleType === 'none';
  });
  look('a[target="_blank"]:not([rel~="noopener"])', 'lets the page it opens reach this one');
  look('nav input, nav select', 'has no label', (element) => {
    return ((element as HTMLInputElement).labels?.length ?? 0) === 0 && !element.hasAttribute('aria-label');
  });
  look('svg:not([aria-hidden="true"], [role])', 'is a drawing that is heard as something unknown');
  look('[aria-controls], [aria-labelledby], [for]', 'has an id that stands twice', (element) => {
    const ids = ['aria-controls', 'aria-labelledby', 'for'].map((attribute) => element.getAttribute(attribute));
    return ids.some(
      (id) => id !== null && id !== '' && document.querySelectorAll(`[id="${CSS.escape(id)}"]`).length > 1,
    );
  });
  return found;
}
