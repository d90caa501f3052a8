import type { ActionEvent } from '../core/view/menu-view.ts';
import { attributeName, footerAttributes } from '../core/view/option-attributes.ts';
import { FooterPart, type FooterOptions } from '../parts/footer.ts';
import { defineOptions, type Settable } from './options.ts';
import { PartElement, type ElementSurroundings } from './part-element.ts';

/** The options of a `trail-footer`: as attributes, or as properties. */
interface TrailFooterOptions {
  /** The menu of the site whose items it shows; groups get titles. Default: `footer`. */
  readonly menu?: string;
  /** The name of the navigation landmark. Default: "Footer", or what the wording says. */
  readonly label?: string;
  /** The level of the groups' titles. Default: 2. */
  readonly headingLevel?: 2 | 3 | 4;
  /** Whether icons stand for the labels of items outside of groups. Default: false. */
  readonly iconsOnly?: boolean;
}

/**
 * The navigation at the foot of the page, with its titled groups.
 *
 * Slots: `form`, beside the groups; `foot`, below it all; templates for `icon`.
 *
 * @example
 * <trail-footer><p slot="foot">2026</p></trail-footer>
 */
export class TrailFooter extends PartElement<TrailFooterOptions, FooterOptions, null, ActionEvent> {
  static readonly observedAttributes = Object.keys(footerAttributes).map(attributeName);

  protected readonly table = footerAttributes;
  protected readonly dataNames = [];

  protected createPart(options: FooterOptions): FooterPart {
    return new FooterPart(options);
  }

  protected optionsOf(given: Partial<TrailFooterOptions>, around: ElementSurroundings): FooterOptions {
    const slots = { icon: this.content.has('icon'), form: this.content.has('form'), foot: this.content.has('foot') };
    return { ...given, ...around, slots };
  }
}

/** The properties of a `trail-footer`. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- Its properties are those of the options.
export interface TrailFooter extends Settable<TrailFooterOptions> {}

defineOptions(TrailFooter, Object.keys(footerAttributes));
