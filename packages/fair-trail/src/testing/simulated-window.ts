/**
 * Gives a simulated document, such as jsdom makes, what browsers have and it has not, so that components run in it: observers that never
 * have anything to report, media queries that never match, animations that there are none of. What it has already stays.
 *
 * Importing this module does it for the window of the test.
 *
 * @example
 * // vite.config.ts
 * export default defineConfig({ test: { environment: 'jsdom', setupFiles: ['fair-trail/testing/simulated-window'] } });
 */
function completeWindow(target: Window & typeof globalThis): void {
  class SilentObserver {
    observe(): void {
      // Nothing ever has a size here.
    }
    unobserve(): void {
      // As above.
    }
    disconnect(): void {
      // As above.
    }
    takeRecords(): [] {
      return [];
    }
  }
  add(target, 'ResizeObserver', SilentObserver);
  add(target, 'IntersectionObserver', SilentObserver);
  add(target, 'CSS', { escape: escapeIdentifier, supports: () => false });
  add(target, 'matchMedia', (media: string) =>
    Object.assign(new target.EventTarget(), {
      media,
      matches: false,
      onchange: null,
      addListener,
      removeListener: addListener,
    }),
  );
  add(target.Element.prototype, 'getAnimations', () => []);
  add(target.Element.prototype, 'scrollIntoView', () => undefined);
  add(target.Element.prototype, 'scrollTo', () => undefined);
  add(
    target.document,
    'fonts',
    Object.assign(new target.EventTarget(), { ready: Promise.resolve(), status: 'loaded' }),
  );
  // There it only says that it cannot scroll.
  target.scrollTo = () => undefined;
}

const addListener = () => undefined;

function add(owner: object, name: string, value: unknown): void {
  // Some names are there, and hold nothing.
  if ((owner as Readonly<Record<string, unknown>>)[name] === undefined)
    Object.defineProperty(owner, name, { value, configurable: true, writable: true });
}

/** As `CSS.escape` (CSSOM, section 6.2), for all but the null character. */
function escapeIdentifier(text: string): string {
  return text.replace(
    /^(-?)(\d)|^-$|[^\w\u0080-\uffff-]/gu,
    (found, dash: string | undefined, digit: string | undefined) =>
      digit === undefined ? `\\${found}` : `${dash ?? ''}\\${digit.charCodeAt(0).toString(16)} `,
  );
}

if (typeof window !== 'undefined') {
  // A test runner may copy the names of the simulated window to its own global object.
  for (const target of new Set([window, document.defaultView])) if (target) completeWindow(target);
}

export {};
