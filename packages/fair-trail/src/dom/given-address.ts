import { addressOf, hashOf } from '../core/router/history.ts';
import { Arrivals, type Arrival } from './arrivals.ts';

/** Takes the reader to each new page where another router decides what the address is. */
export interface GivenAddress {
  /** The document shows the page of this address now. The first is the one that the reader came to by themselves. */
  show(url: string, title: string): void;
  /** Ends it and leaves nothing behind. */
  end(): void;
}

export function followGivenAddress(window: Window, arrival: Arrival): GivenAddress {
  const arrivals = new Arrivals(window, arrival);
  let shown: string | null = null;
  return {
    show(url, title) {
      arrivals.describe(title);
      arrivals.settle();
      const { pathname } = addressOf(url);
      if (shown !== null && shown !== pathname) arrivals.arrive(null, hashOf(url));
      shown = pathname;
    },
    end: () => arrivals.end(),
  };
}
