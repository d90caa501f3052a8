import { estimateRoom, rungFor } from '../core/layout/room.ts';
import { hrefOf } from '../core/site/hrefs.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { barView, type BarViewEvent } from '../core/view/bar-view.ts';
import type { BarOptions } from '../core/view/component-options.ts';
import { itemKey } from '../core/view/menu-view.ts';
import { remembering } from '../core/view/remember.ts';
import { frameOf, type ViewElement } from '../core/view/view.ts';
import type { DisclosuresState } from '../core/interaction/disclosures.ts';
import { watchCondense } from '../dom/condense.ts';
import { listenForRowKeys } from '../dom/keys.ts';
import { watchBarSize, watchRoom, type RoomReport } from '../dom/room.ts';
import { keepMarkedInView } from '../dom/strip.ts';
import { BarToggle, shownToggle, type ToggleOptions, type ToggleState } from './bar-toggle.ts';
import { checkIcons, checkNames, menuNameIn, namesIn } from './name-checks.ts';
import { BasePart } from './navigation-part.ts';
import { startOnDemand } from './on-demand.ts';
import { panelKeys, Panels } from './panels.ts';
import type { Runs } from './runs.ts';
import { menuNow, type MenuOptions } from './surroundings.ts';

/** The options of a bar. */
export interface NavbarOptions extends BarOptions, MenuOptions, ToggleOptions {
  /** The menu of the site whose items the bar shows. Default: `main`. */
  readonly menu?: string | undefined;
  /** The name of the navigation landmark. Default: what the wording says. */
  readonly label?: string | undefined;
  /** Whether the brand that the app brings is a link already. Default: false, and it is put into a link to the home page. */
  readonly isBrandLinked?: boolean | undefined;
  /** The slots that the app fills. */
  readonly slots: { readonly brand: boolean; readonly start: boolean; readonly end: boolean; readonly icon: boolean };
}

/** What a bar draws besides its options. */
export interface NavbarState {
  readonly toggle: ToggleState;
  readonly panels: DisclosuresState;
  /** Whether the toggle stands in for the row. */
  readonly isNarrow: boolean;
  readonly measured: MeasuredRoom;
  /** The keys of the items that do not fit; null while that has not been measured. */
  readonly beyond: readonly string[] | null;
  /** Whether the end slot does not fit beside the toggle; null while that has not been measured. */
  readonly isEndAway: boolean | null;
  /** Whether it has given way to the content. */
  readonly isAway: boolean;
}

/** The room that a row was seen to need, in em. It holds for as long as the estimate is the same. */
interface MeasuredRoom {
  readonly estimate: number;
  readonly needed: number;
}

const usualMenu = 'main';

/** The bar across the top: brand, links with marks, panels, and a toggle in narrow windows. */
export class NavbarPart extends BasePart<NavbarOptions, NavbarState, BarViewEvent> {
  readonly #toggle: BarToggle;
  readonly #panels = new Panels(this);
  #isNarrow = false;
  #measured: MeasuredRoom = { estimate: 0, needed: 0 };
  #beyond: readonly string[] | null = null;
  #isEndAway: boolean | null = null;
  #isAway = false;

  constructor(options: NavbarOptions) {
    super(options);
    this.#toggle = new BarToggle(this, options);
  }

  send = (event: BarViewEvent): void => {
    if (event.type === 'toggle') this.#toggle.send(event);
    else if (event.type === 'press') this.#panels.send(event);
    else this.options.trail.act(event.action);
  };

  protected stateNow(): NavbarState {
    return {
      toggle: this.#toggle.state,
      panels: this.#panels.state,
      isNarrow: this.#isNarrow,
      measured: this.#measured,
      beyond: this.#beyond,
      isEndAway: this.#isEndAway,
      isAway: this.#isAway,
    };
  }

  protected draw(options: NavbarOptions, state: NavbarState): ViewElement<BarViewEvent> {
    const { trail, position, id, label, alwaysToggle = false, whenNarrow, panels: panelForms, slots } = options;
    const { site, wording } = trail;
    const { expanded, closing } = shownToggle(options, state.toggle);
    const { endPlace = 'auto' } = options;
    return barView({
      ...options,
      endPlace: endPlace === 'auto' ? (state.isEndAway === true ? 'panel' : 'row') : endPlace,
      isEndToMeasure: endPlace === 'auto' && state.isEndAway === null,
      ...(panelForms && { panelForms }),
      items: menuNow(options, options.menu ?? usualMenu).items,
      label: label ?? wording.mainNavigation,
      panelId: id,
      expanded,
      closing: closing && state.isNarrow,
      panels: state.panels,
      beyond: whenNarrow === 'more' ? state.beyond : null,
      room: alwaysToggle ? null : roomOf(options, state.measured),
      brandHref: site.home && !options.isBrandLinked ? hrefOf(site, site.home, {}, position.language) : null,
      brandText: site.name,
      slots,
      wording,
      ...(options.givesWay && state.isAway && { away: options.givesWay }),
    });
  }

  protected override update(options: NavbarOptions, last: NavbarOptions): void {
    this.#toggle.set(options);
    const atRest = this.#atRest();
    this.#panels.set(panelKeys(atRest));
    if (last.givesWay && !options.givesWay) this.#isAway = false;
    checkIcons('Navbar', options.trail, options.icon, () => atRest);
    checkNames('Navbar', options.trail, () => [
      ...menuNameIn(options.trail.site, options.menu, usualMenu),
      ...namesIn('entry', 'panels', typeof options.panels === 'object' ? options.panels : null),
      ...namesIn('entry', 'held', options.held),
    ]);
  }

  protected override run(root: HTMLElement, runs: Runs): void {
    const { whenNarrow = 'panel', hoverOpens = false, pinned, givesWay } = this.options;
    const atRest = this.#atRest();
    // With room for the row there is nothing to cover, even where the app keeps the menu expanded.
    this.#toggle.run(root, runs, whenNarrow === 'screen' && this.#isNarrow);
    this.#panels.run(root, runs, this.options.held);
    this.#panels.runHover(root, runs, hoverOpens);
    const held = this.#heldPage();
    runs.keep('hold the page', [root, held], (bar, how) =>
      startOnDemand(
        () => import('../dom/hold-page.ts'),
        ({ holdPage }) => holdPage(bar, how === 'all'),
      ),
    );
    const row = root.querySelector<HTMLElement>('.ft-bar-row');
    const toggle = whenNarrow === 'strip' ? null : root.querySelector<HTMLElement>('.ft-toggle');
    const list = atRest.length > 0 ? root.querySelector<HTMLElement>('.ft-bar-panel > .ft-menu') : null;
    // What was measured holds only for what the bar held then; another estimate means that it holds something else now.
    runs.keep('room', [row, toggle ?? 'no toggle', estimateOf(this.options)], (at, _, estimate) =>
      watchRoom(at, toggle, (report) => this.#onRoom(report, estimate)),
    );
    const setBeyond = (beyond: readonly string[]) => {
      this.#beyond = beyond;
      this.changed();
    };
    runs.keep('fit', whenNarrow === 'more' ? [list, toggle, atRest] : null, (items, button) =>
      startOnDemand(
        () => import('../dom/fit-items.ts'),
        ({ watchFit }) => watchFit(items, button, fittedItems(atRest), setBeyond),
      ),
    );
    runs.keep('keys', [list], listenForRowKeys);
    runs.keep('strip', whenNarrow === 'strip' ? [list] : null, (items) => keepMarkedInView(items));
    runs.keep('bar size', pinned ? [root] : null, watchBarSize);
    runs.keep('condense', pinned && givesWay ? [root, givesWay] : null, (bar) =>
      watchCondense(bar, (isAway) => {
        this.#isAway = isAway;
        this.changed();
      }),
    );
  }

  /**
   * What a wheel leaves where it is: `all` of the page while it is dimmed, or what is `behind` the narrow menu. Not for a
   * panel that the pointer opened by resting on its item.
   */
  #heldPage(): 'all' | 'behind' | null {
    const { backdrop } = this.options;
    const { open, hovered } = this.#panels.state;
    const isMenuOpen = this.#toggle.state.expanded && this.#isNarrow;
    const isPanelOpen = open.some((id) => id !== hovered);
    const isDimmed = (kind: 'menu' | 'panels') => backdrop === 'both' || backdrop === kind;
    if ((isMenuOpen && isDimmed('menu')) || (isPanelOpen && isDimmed('panels'))) return 'all';
    return isMenuOpen ? 'behind' : null;
  }

  #atRest(): readonly MenuItem[] {
    return menuNow(this.options, this.options.menu ?? usualMenu).atRest;
  }

  #onRoom({ narrow, needed, isEndAway, focusOnToggle }: RoomReport, estimate: number): void {
    // A bar without an end slot has nothing to move, and is not drawn again for it.
    if (this.options.slots.end && isEndAway !== this.#isEndAway) {
      this.#isEndAway = isEndAway;
      this.changed();
    }
    if (needed !== null) {
      const before = this.#measured.estimate === estimate ? this.#measured.needed : 0;
      if (needed > before || this.#measured.estimate !== estimate) {
        this.#measured = { estimate, needed: Math.max(before, needed) };
        this.changed();
      }
    }
    if (this.options.whenNarrow === 'more' || narrow === this.#isNarrow) return;
    this.#isNarrow = narrow;
    this.changed();
    // In a column several groups may be open; above the page, one panel is enough.
    this.#panels.send({ type: 'allow', many: narrow });
    if (narrow) return;
    this.#toggle.send({ type: 'room-enough', focusOnTrigger: focusOnToggle });
  }
}

const fittedItems = (items: readonly MenuItem[]) =>
  items.map((item) => ({ key: itemKey(item), priority: item.entry?.priority ?? 0 }));

const rememberedEstimate = remembering(
  (items: readonly MenuItem[], brandText: string | null, icons: boolean, slots: number) =>
    estimateRoom({ items, brandText, icons, slots }),
  (...values) => values,
);

/** From the labels, so that a server can say it too. */
function estimateOf(options: NavbarOptions): number {
  const { trail, slots } = options;
  const { atRest } = menuNow(options, options.menu ?? usualMenu);
  const brandText = slots.brand ? null : trail.site.name;
  return rememberedEstimate(atRest, brandText, slots.icon, Number(slots.start) + Number(slots.end));
}

/** The room at which the row fits: estimated from the labels, and corrected once it has been seen not to. */
function roomOf(options: NavbarOptions, measured: MeasuredRoom): number | null {
  const estimate = estimateOf(options);
  return rungFor(measured.estimate === estimate ? Math.max(estimate, measured.needed) : estimate);
}

/** The row as the app arranges it, with the parts of the bar among its own markup. */
export const ownRow = remembering(
  (view: ViewElement<BarViewEvent>) => frameOf(view, 'ft-bar-row'),
  () => [],
);
