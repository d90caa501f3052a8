import { NotJudged } from '../failures.ts';
import type { Host } from '../host.ts';
import { goWithin } from './go-within.ts';
import { ReaderInReach } from './reader-in-reach.ts';

/** What the browser mode of a test runner brings: real pointer and keys, and the size of the window. */
export interface BrowserTools {
  readonly page: { readonly viewport: (width: number, height: number) => Promise<void> };
  readonly userEvent: {
    readonly click: (element: Element, options?: { readonly timeout?: number }) => Promise<void>;
    readonly hover: (element: Element, options?: { readonly timeout?: number }) => Promise<void>;
    readonly unhover: (element: Element) => Promise<void>;
    readonly keyboard: (text: string) => Promise<void>;
  };
  /** Touches the middle of what a selector finds. Default: touch is not judged. */
  readonly tap?: (selector: string) => Promise<void>;
  /** Goes to an address. Default: a new history entry, and the event of one that was gone to. */
  readonly visit?: (address: string) => void | Promise<void>;
  /** Takes the component away and mounts it again. Default: a reload is not judged. */
  readonly reload?: () => void | Promise<void>;
}

const name = 'the page of the test itself';
const noLoading =
  'loading again would end the test that stands in the same document; drive the page from outside for that';

/** How long a press may take to find its target in rest, in milliseconds. */
const timeout = 5000;

/**
 * Creates a host for the page that the test runs in, such as a component mounted in Vitest's browser mode.
 *
 * @param tools `page` and `userEvent` of `vitest/browser`
 * @example
 * const page = navigation(browserHost({ page: vitestPage, userEvent }));
 */
export function browserHost({ page, userEvent, tap, visit, reload }: BrowserTools): Host {
  const reader = new ReaderInReach(name, () => document);
  let hovered: Element | null = null;
  return {
    name,
    cannot: {
      ...(!tap && { touch: 'no way to touch was given (`tap`)' }),
      ...(!reload && { loading: noLoading }),
    },
    ask: reader.ask,
    press: async (element, by) => {
      if (by === 'mouse') await userEvent.click(reader.element(element), { timeout });
      else await touch(reader.element(element), tap);
    },
    hover: async (element) => {
      hovered = reader.element(element);
      await userEvent.hover(hovered, { timeout });
    },
    unhover: async () => {
      if (hovered?.isConnected === true) await userEvent.unhover(hovered);
      hovered = null;
    },
    key: async (key) => {
      const isShifted = key.startsWith('Shift+');
      const bare = key.replace('Shift+', '');
      const pressed = bare.length === 1 ? bare : `{${bare}}`;
      await userEvent.keyboard(isShifted ? `{Shift>}${pressed}{/Shift}` : pressed);
    },
    resize: ({ width, height }) => page.viewport(width, height),
    visit: async (address) => {
      if (visit) await visit(address);
      else goWithin(window, address, new PopStateEvent('popstate', { state: null }));
    },
    reload: async () => {
      if (!reload) throw new NotJudged(name, noLoading);
      await reload();
    },
    traverse: (delta) => {
      history.go(delta);
      return Promise.resolve();
    },
  };
}

/** A touch is made by what stands outside the page, which finds the element by an attribute that is there for that long. */
async function touch(element: HTMLElement, tap: BrowserTools['tap']): Promise<void> {
  if (!tap) throw new NotJudged(name, 'no way to touch was given');
  element.setAttribute('data-ft-touched', '');
  try {
    await tap('[data-ft-touched]');
  } finally {
    element.removeAttribute('data-ft-touched');
  }
}
