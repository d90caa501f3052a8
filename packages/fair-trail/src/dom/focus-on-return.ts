import { focusOnLink } from './focus.ts';
import { isContent } from './link-sign.ts';
import { tryUntilDone } from './patience.ts';

/**
 * After Back or Forward: focuses the link that the page was left by, or what shows that link; in content that is still to
 * come, as soon as it is there.
 *
 * @param find finds the link, if it is there by now
 * @param focusContent called where no such link comes
 * @returns a function that stops waiting for it
 */
export function focusOnReturn(window: Window, find: () => HTMLElement | null, focusContent: () => void): () => void {
  return tryUntilDone(
    window,
    () => {
      const link = find();
      if (link === null) return false;
      if (focusOnLink(link)) return true;
      // In the content it may be about to appear; beside that, everything is as it will be.
      if (isContent(link)) return false;
      focusContent();
      return true;
    },
    focusContent,
  );
}
