import type { SidebarOptions } from '../core/view/component-options.ts';
import { attributeName, sidebarAttributes } from '../core/view/option-attributes.ts';
import type { SidebarViewEvent } from '../core/view/sidebar-view.ts';
import { SidebarPart, type SidebarPartOptions, type SidebarState } from '../parts/sidebar.ts';
import { takeListIn, type ListSource } from './list-source.ts';
import { defineOptions, type Settable } from './options.ts';
import { PartElement, type ElementSurroundings } from './part-element.ts';

/** The options of a `trail-sidebar`: as attributes, or as properties. */
interface TrailSidebarOptions extends SidebarOptions {
  /** The menu of the site whose items it shows. Default: `main`. */
  readonly menu?: string;
  /** The name of the navigation landmark, and the word on its toggle. Default: what the wording says. */
  readonly label?: string;
  /** Tells it from other sidebars in what is remembered. Default: the menu's name. */
  readonly name?: string;
}

const dataNames = ['expanded', 'narrowed'];

/**
 * The navigation at the side: sections, groups that open in place, a rail of icons, a second panel.
 *
 * Its links come from where those of a `trail-bar` do. Slots: `start`, `foot`, and templates for `icon` and `panel`.
 * Properties: `expanded`, `narrowed`. Events: `trail-toggle`, with `expanded`; `trail-narrow`, with `narrowed`.
 *
 * @example
 * <trail-sidebar menu="desk" label="Data desk" search rail></trail-sidebar>
 */
export class TrailSidebar extends PartElement<TrailSidebarOptions, SidebarPartOptions, SidebarState, SidebarViewEvent> {
  static readonly observedAttributes = Object.keys(sidebarAttributes).map(attributeName);

  protected readonly table = sidebarAttributes;
  protected readonly dataNames = dataNames;

  protected createPart(options: SidebarPartOptions): SidebarPart {
    return new SidebarPart(options);
  }

  protected optionsOf(given: Partial<TrailSidebarOptions>, around: ElementSurroundings): SidebarPartOptions {
    return {
      ...given,
      ...around,
      expanded: this.dataOf('expanded') as boolean | undefined,
      narrowed: this.dataOf('narrowed') as boolean | undefined,
      onToggle: (expanded) => this.report('toggle', { expanded }),
      onNarrow: (narrowed) => this.report('narrow', { narrowed }),
      slots: {
        start: this.content.has('start'),
        foot: this.content.has('foot'),
        panel: this.content.has('panel'),
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

/** The properties of a `trail-sidebar`. */
export interface TrailSidebar extends Settable<TrailSidebarOptions> {
  /** Whether it is open behind its toggle. Undefined: it decides by itself. */
  expanded: boolean | undefined;
  /** Whether it is narrow now. Undefined: it decides by itself, and remembers. */
  narrowed: boolean | undefined;
}

defineOptions(TrailSidebar, [...Object.keys(sidebarAttributes), ...dataNames]);
