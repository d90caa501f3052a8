import type { BreadcrumbViewEvent } from '../core/view/breadcrumb-view.ts';
import type { BreadcrumbsOptions } from '../core/view/component-options.ts';
import { attributeName, breadcrumbsAttributes } from '../core/view/option-attributes.ts';
import { BreadcrumbsPart, type BreadcrumbsPartOptions, type BreadcrumbsState } from '../parts/breadcrumbs.ts';
import { defineOptions, type Settable } from './options.ts';
import { PartElement, type ElementSurroundings } from './part-element.ts';

/**
 * The breadcrumbs from the home page to the current page. Renders nothing on the home page.
 *
 * Templates: `separator`, `icon`.
 *
 * @example
 * <trail-breadcrumbs keep-last="2"></trail-breadcrumbs>
 */
export class TrailBreadcrumbs extends PartElement<
  BreadcrumbsOptions,
  BreadcrumbsPartOptions,
  BreadcrumbsState,
  BreadcrumbViewEvent
> {
  static readonly observedAttributes = Object.keys(breadcrumbsAttributes).map(attributeName);

  protected readonly table = breadcrumbsAttributes;
  protected readonly dataNames = [];
  #part: BreadcrumbsPart | null = null;
  #data: HTMLScriptElement | null = null;

  protected createPart(options: BreadcrumbsPartOptions): BreadcrumbsPart {
    return (this.#part = new BreadcrumbsPart(options));
  }

  protected optionsOf(given: Partial<BreadcrumbsOptions>, around: ElementSurroundings): BreadcrumbsPartOptions {
    return { ...given, ...around, slots: { icon: this.content.has('icon'), separator: this.content.has('separator') } };
  }

  protected override drawn(root: HTMLElement | null, options: BreadcrumbsPartOptions | null): void {
    const data = root && options ? (this.#part?.structuredData(options) ?? null) : null;
    if (data === null) {
      this.#data?.remove();
      this.#data = null;
      return;
    }
    // A server has written it behind the element.
    const next = this.nextElementSibling;
    const isWritten = next?.matches('script[type="application/ld+json"]') === true;
    if (!this.#data && isWritten) this.#data = next as HTMLScriptElement;
    this.#data ??= this.appendChild(
      Object.assign(this.ownerDocument.createElement('script'), { type: 'application/ld+json' }),
    );
    if (this.#data.textContent !== data) this.#data.textContent = data;
  }
}

/** The properties of a `trail-breadcrumbs`. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- Its properties are those of the options.
export interface TrailBreadcrumbs extends Settable<BreadcrumbsOptions> {}

defineOptions(TrailBreadcrumbs, Object.keys(breadcrumbsAttributes));
