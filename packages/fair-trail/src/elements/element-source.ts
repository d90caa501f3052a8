import { closestSite } from './closest-site.ts';
import { bareTrail, offeredTrail, offerTrail, whenOffered, type TrailSource } from './document-trails.ts';
import type { ListSource } from './list-source.ts';

/** What an element takes its links from, as sources come and go. */
export class ElementSource {
  /** The author's list, if there is one and no site is around the element. */
  list: ListSource | null = null;
  #current: TrailSource | null = null;
  #bare: TrailSource | null = null;
  #stops: readonly (() => void)[] = [];
  readonly #element: HTMLElement;
  readonly #needsSite: () => boolean;
  readonly #accepts: (source: TrailSource) => boolean;
  readonly #changed: () => void;

  /**
   * @param needsSite whether it shows links; without a site, an element that shows none knows the address alone
   * @param accepts says whether a source that is offered to the document will do
   * @param changed called when there is another source, and when what the source says is another
   */
  constructor(
    element: HTMLElement,
    needsSite: () => boolean,
    accepts: (source: TrailSource) => boolean,
    changed: () => void,
  ) {
    this.#element = element;
    this.#needsSite = needsSite;
    this.#accepts = accepts;
    this.#changed = changed;
  }

  get current(): TrailSource | null {
    return this.#current;
  }

  /** Follows what the document offers. @returns a function that stops it */
  connect(): () => void {
    const stop = whenOffered(this.#element.ownerDocument, this.find);
    return () => {
      stop();
      this.#follow(null);
    };
  }

  /** Looks for the source where the element stands now. */
  readonly find = (): void => {
    const { ownerDocument: document } = this.#element;
    const site = closestSite(this.#element);
    if (site && !('surroundings' in site)) {
      // It is in the document, and its definition is not there yet.
      void customElements.whenDefined('trail-site').then(this.find);
      return;
    }
    const around = site as TrailSource | null;
    this.#follow(this.list ?? around ?? offeredTrail(document, this.#accepts) ?? this.#bareSource(document));
  };

  /** Takes a list as the source, and offers it to the document. */
  take(list: ListSource): void {
    this.list = list;
    this.#follow(list);
  }

  #follow(source: TrailSource | null): void {
    if (source === this.#current) return;
    for (const stop of this.#stops) stop();
    this.#current = source;
    this.#stops = source ? [source.subscribe(this.#changed)] : [];
    if (source && source === this.list) {
      this.#stops = [...this.#stops, offerTrail(this.#element.ownerDocument, source)];
    }
    if (source) this.#changed();
  }

  #bareSource({ defaultView: window }: Document): TrailSource | null {
    return this.#needsSite() || !window ? null : (this.#bare ??= bareTrail(window));
  }
}
