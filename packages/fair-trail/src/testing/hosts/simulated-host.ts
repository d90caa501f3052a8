import { NotJudged } from '../failures.ts';
import type { Host } from '../host.ts';
import { goWithin } from './go-within.ts';
import { ReaderInReach } from './reader-in-reach.ts';

/** A simulated window, and what it does not know by itself. */
export interface SimulatedOptions {
  /** Goes to an address. Default: a new history entry, and the event of one that was gone to. */
  readonly visit?: (address: string) => void | Promise<void>;
  /** Makes the page again. Default: a reload is not judged. */
  readonly reload?: () => void | Promise<void>;
}

type SimulatedWindow = Window & typeof globalThis;

const name = 'a simulated document';
const nothingLoads = 'no other page is ever loaded';

/**
 * Creates a host for a simulated document, such as one of jsdom. Layout, pointers and focus order are not judged.
 *
 * @param window of the simulated document
 * @example
 * const page = navigation(simulatedHost(dom.window));
 */
export function simulatedHost(window: { readonly document: Document }, { visit, reload }: SimulatedOptions = {}): Host {
  // What a simulation declares of its window differs from what a browser's has in many small things.
  const simulated = window as SimulatedWindow;
  const reader = new ReaderInReach(name, () => (simulated.closed ? null : simulated.document));
  const go = async (address: string) => {
    if (visit) await visit(address);
    else goWithin(simulated, address, new simulated.PopStateEvent('popstate', { state: null }));
  };
  const click = async (element: HTMLElement) => {
    const followed = clickOn(simulated, element);
    if (followed === null) return;
    if (!visit) throw new NotJudged(name, `${nothingLoads}, and this link leads to ${followed}`);
    await visit(followed);
  };
  return {
    name,
    cannot: {
      layout: 'there is no layout: nothing has a size or a place',
      'focus order': 'Tab goes nowhere by itself',
      hover: 'there is no pointer',
      touch: 'there is no finger',
      ...(!reload && { loading: nothingLoads }),
    },
    ask: reader.ask,
    press: async (number) => {
      const element = reader.element(number);
      const needsPopover = element.hasAttribute('popovertarget') || element.hasAttribute('commandfor');
      if (needsPopover && !('showPopover' in element)) throw new NotJudged(name, 'there are no popovers');
      const options = { bubbles: true, cancelable: true, composed: true, button: 0 };
      for (const type of ['pointerdown', 'mousedown'] as const)
        element.dispatchEvent(pressOf(simulated, type, options));
      element.focus();
      for (const type of ['pointerup', 'mouseup'] as const) element.dispatchEvent(pressOf(simulated, type, options));
      await click(element);
    },
    hover: () => Promise.reject(new NotJudged(name, 'there is no pointer')),
    unhover: () => Promise.reject(new NotJudged(name, 'there is no pointer')),
    key: async (key) => {
      const { document } = simulated;
      const target = (document.activeElement ?? document.body) as HTMLElement;
      const options = { key, bubbles: true, cancelable: true, composed: true };
      const isFree = target.dispatchEvent(new simulated.KeyboardEvent('keydown', options));
      if (isFree && key === 'Enter' && target.matches('a[href], button, summary')) await click(target);
      const isStillFree = target.dispatchEvent(new simulated.KeyboardEvent('keyup', options));
      if (isFree && isStillFree && key === ' ' && target.matches('button, summary')) await click(target);
    },
    resize: () => Promise.reject(new NotJudged(name, 'there is no layout')),
    visit: go,
    reload: async () => {
      if (!reload) throw new NotJudged(name, nothingLoads);
      await reload();
    },
    traverse: (delta) => {
      simulated.history.go(delta);
      return Promise.resolve();
    },
  };
}

function pressOf(window: SimulatedWindow, type: string, options: MouseEventInit): Event {
  // Not every simulated document knows pointers.
  const Press = 'PointerEvent' in window && type.startsWith('pointer') ? window.PointerEvent : window.MouseEvent;
  return new Press(type, options);
}

/** Clicks, and tells the address that a browser would now load; null if the page has taken the click itself. */
function clickOn(window: SimulatedWindow, element: HTMLElement): string | null {
  let followed: string | null = null;
  const look = (event: Event) => {
    const link = element.closest<HTMLAnchorElement>('a[href]');
    const isWithin = link?.href.split('#')[0] === window.location.href.split('#')[0] && link?.hash !== '';
    if (event.defaultPrevented || !link || isWithin) return;
    followed = link.href;
    // It would only complain that it cannot.
    event.preventDefault();
  };
  window.addEventListener('click', look);
  try {
    element.dispatchEvent(
      new window.MouseEvent('click', { bubbles: true, cancelable: true, composed: true, button: 0 }),
    );
  } finally {
    window.removeEventListener('click', look);
  }
  return followed;
}
