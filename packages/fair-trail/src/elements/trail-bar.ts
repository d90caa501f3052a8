import type { BarViewEvent } from '../core/view/bar-view.ts';
import type { BarOptions } from '../core/view/component-options.ts';
import { attributeName, barAttributes } from '../core/view/option-attributes.ts';
import { NavbarPart, type NavbarOptions, type NavbarState } from '../parts/navbar.ts';
import { takeListIn, type ListSource } from './list-source.ts';
import { defineOptions, type Settable } from './options.ts';
import { PartElement, type ElementSurroundings } from './part-element.ts';

/** The options of a `trail-bar`: as attributes, or as properties. */
interface TrailBarOptions extends BarOptions {
  /** The menu of the site whose items the bar shows. Default: `main`. */
  readonly menu?: string;
  /** The name of the navigation landmark. Default: "Main", or what the wording says. */
  readonly label?: string;
}

const dataNames = ['expanded'];

/**
 * The bar across the top: brand, links with marks, panels, and a toggle in narrow windows.
 *
 * Its links are those of the `trail-site` around it or in the document; or of the list that is written into it, or that the
 * attribute `list` names by its id. Slots: `brand`, `start`, `end`, and templates for `icon`. Property: `expanded`. Event:
 * `trail-toggle`, with `expanded`.
 *
 * @example
 * <trail-bar when-narrow="screen">
 *   <nav aria-label="Main"><ul><li><a href="/">Today</a></li><li><a href="/hides">Hides</a></li></ul></nav>
 * </trail-bar>
 */
export class TrailBar extends PartElement<TrailBarOptions, NavbarOptions, NavbarState, BarViewEvent> {
  static readonly observedAttributes = Object.keys(barAttributes).map(attributeName);

  protected readonly table = barAttributes;
  protected readonly dataNames = dataNames;

  protected createPart(options: NavbarOptions): NavbarPart {
    return new NavbarPart(options);
  }

  protected optionsOf(given: Partial<TrailBarOptions>, around: ElementSurroundings): NavbarOptions {
    return {
      ...given,
      ...around,
      expanded: this.dataOf('expanded') as boolean | undefined,
      onToggle: (expanded) => this.report('toggle', { expanded }),
      isBrandLinked: this.content
        .elements('brand')
        .some((node) => node.matches('a') || node.querySelector('a') !== null),
      slots: {
        brand: this.content.has('brand'),
        start: this.content.has('start'),
        end: this.content.has('end'),
        icon: this.content.has('icon'),
      },
    };
  }

  protected override closesOnReturn(): boolean {
    return true;
  }

  protected override takeList(): ListSource | null {
    return takeListIn(this, this.content.elements('content'), this.warn);
  }
}

/** The properties of a `trail-bar`. */
export interface TrailBar extends Settable<TrailBarOptions> {
  /** Whether the menu is open where room is short. Undefined: the bar decides by itself. */
  expanded: boolean | undefined;
}

defineOptions(TrailBar, [...Object.keys(barAttributes), ...dataNames]);
