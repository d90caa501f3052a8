/** What navigation there is on a page, as assistive technology finds it: by role and name, never by class. */
export interface PageReading {
  /** The whole address. */
  readonly url: string;
  readonly title: string;
  /** The first heading of the page's main content, or of the page; null if there is none. */
  readonly heading: string | null;
  readonly menus: readonly MenuReading[];
  /** Buttons outside of menus that say of themselves that they open something, or are called so. */
  readonly controls: readonly ControlReading[];
  readonly tablists: readonly TablistReading[];
  /** The steps of the way to the page; null if it shows none. */
  readonly breadcrumbs: readonly BreadcrumbReading[] | null;
  /** What has focus; null if nothing has, or the page itself. */
  readonly focus: FocusReading | null;
}

export interface MenuReading {
  /** Its number on the page, by which it is found again. */
  readonly element: number;
  /** Empty where it has none. */
  readonly name: string;
  /** `list`: links that stand together in no landmark. */
  readonly kind: 'navigation' | 'breadcrumbs' | 'list';
  /** What opens and closes the whole of it; null if there is nothing of the kind. */
  readonly toggle: ControlReading | null;
  readonly items: readonly ItemReading[];
  /** Whether nothing that takes focus comes after it: then Tab leads from its end out of the page. */
  readonly isLast: boolean;
}

export interface ItemReading {
  readonly name: string;
  readonly link: LinkReading | null;
  /** What opens what is below it. */
  readonly control: ControlReading | null;
  /** The value of `aria-current` on it (WAI-ARIA 1.2, section 6.6); null if it is not marked. */
  readonly current: string | null;
  /** Whether it can be seen and heard now. */
  readonly isShown: boolean;
  readonly items: readonly ItemReading[];
}

export interface LinkReading {
  readonly element: number;
  /** The whole address that it leads to. */
  readonly href: string;
  /** As it is written in the document. */
  readonly written: string;
  readonly opensElsewhere: boolean;
}

export interface ControlReading {
  readonly element: number;
  readonly name: string;
  /** Null if it does not say. */
  readonly isExpanded: boolean | null;
  readonly isShown: boolean;
  readonly isDisabled: boolean;
}

export interface TablistReading {
  readonly element: number;
  readonly name: string;
  /** Whether its tabs stand below each other (WAI-ARIA 1.2, aria-orientation), or beside each other in reading order. */
  readonly orientation: 'horizontal' | 'vertical';
  readonly direction: 'ltr' | 'rtl';
  readonly tabs: readonly TabReading[];
}

export interface TabReading {
  readonly element: number;
  readonly name: string;
  readonly isSelected: boolean;
  readonly isDisabled: boolean;
  /** What it shows; null if that is not in the document, or the tab does not say which it is. */
  readonly panel: TabpanelReading | null;
}

export interface TabpanelReading {
  readonly name: string;
  readonly isShown: boolean;
}

export interface BreadcrumbReading {
  readonly name: string;
  /** The whole address; null if it is no link. */
  readonly href: string | null;
  readonly isCurrent: boolean;
}

export interface FocusReading {
  readonly element: number;
  readonly role: string | null;
  readonly name: string;
}

/** Something on the page that was looked for by its name. */
export interface FoundReading {
  readonly element: number;
  readonly name: string;
  readonly isShown: boolean;
  /** Null for what is no link. */
  readonly link: LinkReading | null;
}
