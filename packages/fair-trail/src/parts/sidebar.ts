import type { AnnexState } from '../core/interaction/annex.ts';
import type { GroupsState } from '../core/interaction/groups.ts';
import type { OverlayState } from '../core/interaction/overlay.ts';
import { filterItems, type Filtered } from '../core/site/filter.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import type { SidebarOptions } from '../core/view/component-options.ts';
import { markedSelector } from '../core/view/marked.ts';
import { remembering } from '../core/view/remember.ts';
import { sidebarView, type SidebarViewEvent } from '../core/view/sidebar-view.ts';
import { isLarge, pieceSize, withPiece, type MoreEvent, type ShownPieces } from '../core/view/pieces.ts';
import { annexItems } from '../core/view/tree-view.ts';
import { frameOf, type ViewElement } from '../core/view/view.ts';
import { followFilter } from '../dom/filter-field.ts';
import { listenForColumnKeys, listenForSpace } from '../dom/keys.ts';
import { followGap } from '../dom/sidebar.ts';
import { keepMarkedInView } from '../dom/strip.ts';
import { watchTooltips } from '../dom/tooltip.ts';
import type { ToggleOptions } from './bar-toggle.ts';
import { memoryHere } from './memory-here.ts';
import { checkIcons, checkNames, menuNameIn, namesIn } from './name-checks.ts';
import { BasePart } from './navigation-part.ts';
import type { Runs } from './runs.ts';
import { SidebarAnnex } from './sidebar-annex.ts';
import { SidebarGroups } from './sidebar-groups.ts';
import { SidebarToggle } from './sidebar-toggle.ts';
import { menuNow, type MenuOptions } from './surroundings.ts';

/** The options of a sidebar. */
export interface SidebarPartOptions extends SidebarOptions, MenuOptions, ToggleOptions {
  /** The current address: it says which annex is open. */
  readonly url: string;
  /** The menu of the site whose items it shows. Default: `main`. */
  readonly menu?: string | undefined;
  /** The name of the navigation landmark, and the word on its toggle. Default: what the wording says. */
  readonly label?: string | undefined;
  /** Tells it from other sidebars in what is remembered. Default: the menu's name. */
  readonly name?: string | undefined;
  /** Whether it is narrow now. Undefined: it decides by itself, and remembers. */
  readonly narrowed?: boolean | undefined;
  readonly onNarrow?: ((narrowed: boolean) => void) | undefined;
  /** The slots that the app fills. */
  readonly slots: {
    readonly icon: boolean;
    readonly start: boolean;
    readonly foot: boolean;
    readonly panel: boolean;
  };
}

/** What a sidebar draws besides its options. */
export interface SidebarState {
  readonly overlay: OverlayState;
  readonly groups: GroupsState;
  readonly annex: AnnexState;
  /** Whether it is remembered as narrow; null while that is not known. */
  readonly isNarrow: boolean | null;
  /** What stands in the field above the list. */
  readonly query: string;
  /** What stands in the field of the annex. */
  readonly annexQuery: string;
  /** What the reader asked for of lists that are too long to be drawn as a whole. */
  readonly pieces: ShownPieces;
}

const usualMenu = 'main';
const noIds: readonly string[] = [];

/** The navigation at the side: sections, groups that open in place, a rail of icons, a second panel. */
export class SidebarPart extends BasePart<SidebarPartOptions, SidebarState, SidebarViewEvent> {
  readonly #toggle: SidebarToggle;
  readonly #groups: SidebarGroups;
  readonly #annex: SidebarAnnex;
  #narrow: readonly string[] = memoryHere('rails')?.names() ?? noIds;
  #query = '';
  #annexQuery = '';
  #pieces: ShownPieces = new Map();

  constructor(options: SidebarPartOptions) {
    super(options);
    this.#toggle = new SidebarToggle(this, options);
    this.#groups = new SidebarGroups(this, groupsOptions(options));
    this.#annex = new SidebarAnnex(this, annexOptions(options));
  }

  send = (event: SidebarViewEvent): void => {
    switch (event.type) {
      case 'toggle':
      case 'close':
        this.#toggle.send(event);
        break;
      case 'choose':
        this.#annex.send(event);
        break;
      case 'close-annex':
        this.#annex.send({ type: 'close' });
        break;
      case 'rail':
        this.#setNarrow(!this.#isRail());
        break;
      case 'press':
        this.#press(event.id);
        break;
      case 'more':
        this.#showMore(event);
        break;
      case 'action':
        this.options.trail.act(event.action);
    }
  };

  protected stateNow(): SidebarState {
    return {
      overlay: this.#toggle.state,
      groups: this.#groups.state,
      annex: this.#annex.state,
      isNarrow: this.#narrow.includes(nameOf(this.options)),
      query: this.#query,
      annexQuery: this.#annexQuery,
      pieces: this.#pieces,
    };
  }

  protected override stateRendered(): SidebarState {
    return { ...this.stateNow(), groups: this.#groups.rendered, isNarrow: null };
  }

  protected draw(options: SidebarPartOptions, state: SidebarState): ViewElement<SidebarViewEvent> {
    const { trail, label, id, markers, search = false, rail = false, slots, annexParameter = 'annex' } = options;
    const { wording } = trail;
    const { groups, overlay, annex } = state;
    const menu = menuNow(options, options.menu ?? usualMenu);
    const { items } = menu;
    const pieces = isLarge(menu.atRest) ? state.pieces : null;
    const annexIds = options.annex ?? noIds;
    const shown = annex.shown === null ? undefined : annexItems(items, annexIds).get(annex.shown);
    const { open, closing } = setsOf(groups);
    return sidebarView({
      items,
      name: nameOf(options),
      label: label ?? wording.sidebar,
      ...(label !== undefined && { toggleLabel: label }),
      idPrefix: id,
      tree: { open, closing, pieces, ...(markers && { markers }) },
      annexKeys: annexKeys(menu, annexIds),
      annexParameter,
      annex: shown
        ? {
            of: shown,
            chosen: annex.chosen,
            leaving: annex.leaving,
            filter: search ? { filtered: found(shown.item.items, state.annexQuery, pieces) } : null,
            hasSlot: slots.panel,
            open,
            closing,
            pieces,
          }
        : null,
      headingLevel: options.headingLevel ?? 2,
      search: search ? { filtered: found(items, state.query, pieces) } : null,
      rail: rail ? railState(options, state) : null,
      whenNarrow: options.whenNarrow ?? 'cover',
      alwaysToggle: options.alwaysToggle ?? false,
      expanded: overlay.expanded,
      closing: overlay.closing,
      covers: overlay.covers && overlay.expanded,
      slots,
      wording,
    });
  }

  protected override update(options: SidebarPartOptions, last: SidebarPartOptions): void {
    this.#toggle.set(options);
    this.#groups.set(groupsOptions(options));
    this.#annex.set(annexOptions(options));
    if (nameOf(options) !== nameOf(last)) this.changed();
    checkIcons('Sidebar', options.trail, options.icon, () => menuNow(options, options.menu ?? usualMenu).atRest);
    checkNames('Sidebar', options.trail, () => [
      ...menuNameIn(options.trail.site, options.menu, usualMenu),
      ...namesIn('entry', 'annex', options.annex),
      // A marker of a record has the record's params behind the id.
      ...namesIn(
        'entry',
        'markers',
        Object.keys(options.markers ?? {}).map((key) => key.split('/')[0] ?? ''),
      ),
    ]);
  }

  protected override run(root: HTMLElement, runs: Runs): void {
    const { options } = this;
    const { search = false, whenNarrow = 'cover' } = options;
    const find = (selector: string) => root.querySelector<HTMLElement>(selector);
    this.#toggle.run(root, runs, whenNarrow === 'cover');
    this.#annex.run(root, runs);
    // The early script's rules have done their part.
    runs.keep('settled', [root], (sidebar) => {
      sidebar.setAttribute('data-ft-settled', '');
      return undefined;
    });
    const navigation = find('.ft-sidebar-navigation');
    const panel = find('.ft-sidebar-panel');
    const annex = this.#annex.state.shown === null ? null : find('.ft-annex');
    runs.keep('marked in view', [navigation], (list) => keepMarkedInView(list, markedSelector));
    runs.keep('keys', [panel], (column) => listenForColumnKeys(column, '.ft-sidebar-navigation'));
    runs.keep('keys of the annex', [annex], (column) => listenForColumnKeys(column, '.ft-menu'));
    runs.keep('space', (options.annex ?? noIds).length > 0 ? [root] : null, listenForSpace);
    const field = search ? (panel?.querySelector('.ft-filter-field') ?? null) : null;
    runs.keep('filter', [panel, field], (column) => this.#followFilter(column, (query) => (this.#query = query)));
    const annexField = search ? (annex?.querySelector('.ft-filter-field') ?? null) : null;
    runs.keep('filter of the annex', [annex, annexField], (column) =>
      this.#followFilter(column, (query) => (this.#annexQuery = query)),
    );
    runs.keep('tooltips', this.#isRail() ? [root, find('.ft-tooltip')] : null, watchTooltips);
  }

  protected override follow(): (() => void) | undefined {
    const memory = memoryHere('rails');
    const look = () => {
      const names = memory?.names() ?? noIds;
      if (names === this.#narrow) return;
      this.#narrow = names;
      this.changed();
    };
    const stop = memory?.subscribe(look);
    look();
    return stop;
  }

  #followFilter(column: HTMLElement, take: (query: string) => void): () => void {
    const report = (query: string) => {
      take(query);
      this.changed();
    };
    const stop = followFilter(column, report);
    return () => {
      stop();
      report('');
    };
  }

  #isRail(): boolean {
    const { rail = false } = this.options;
    return rail && railState(this.options, this.read()) === 'narrow';
  }

  #setNarrow(narrowed: boolean): void {
    const name = nameOf(this.options);
    if (this.options.narrowed === undefined) {
      memoryHere('rails')?.replace((other) => other === name, narrowed ? [name] : []);
    }
    this.options.onNarrow?.(narrowed);
    this.#annex.send({ type: 'rail' });
  }

  /** Another piece of a list. Focus goes on to its first item, since the button that asked for it has gone. */
  #showMore(event: MoreEvent): void {
    const focusNext = this.root && followGap(this.root, event);
    this.#pieces = withPiece(this.#pieces, event);
    this.changed();
    this.whenDrawn(() => focusNext?.());
  }

  #press(id: string): void {
    // While a list is filtered, all that is left of it is open.
    if (this.options.search === true && this.#query.trim() !== '') return;
    if (!this.#isRail() || this.#toggle.state.covers) {
      this.#groups.send({ type: 'press', id });
      return;
    }
    // A rail has no room for what is in a group.
    this.#setNarrow(false);
    this.#groups.send({ type: 'reveal', ids: [id] });
  }
}

/** What a query leaves of a list: of one that is drawn in pieces, no more than one of them. */
function found(items: readonly MenuItem[], query: string, pieces: ShownPieces | null): Filtered | null {
  return filterItems(items, query, pieces === null ? Infinity : pieceSize);
}

function nameOf({ name, menu = usualMenu }: SidebarPartOptions): string {
  return name ?? menu;
}

/** Whether it is narrowed to its icons: as the app says, or as it is remembered, which a server cannot know. */
function railState({ narrowed }: SidebarPartOptions, { isNarrow }: SidebarState): 'narrow' | 'full' | 'unknown' {
  const isRail = narrowed ?? isNarrow;
  return isRail === null ? 'unknown' : isRail ? 'narrow' : 'full';
}

function groupsOptions(options: SidebarPartOptions) {
  const { atRest } = menuNow(options, options.menu ?? usualMenu);
  return { items: atRest, position: options.position, name: nameOf(options), one: options.groups === 'one' };
}

function annexOptions(options: SidebarPartOptions) {
  const { url, trail, annexParameter: parameter = 'annex', annex = noIds } = options;
  const menu = menuNow(options, options.menu ?? usualMenu);
  return { url, parameter, navigate: trail.navigate, isChoice: (id: string) => annexKeys(menu, annex).has(id) };
}

/** The keys of the items that open in an annex. Without marks they are the same items at every address. */
function annexKeys({ atRest }: { readonly atRest: readonly MenuItem[] }, ids: readonly string[]): ReadonlySet<string> {
  // By what the list of ids says, since an app may well make it again for each drawing.
  return ids.length === 0 ? noKeys : knownAnnexKeys(atRest, ids.join('\n'));
}

const noKeys: ReadonlySet<string> = new Set();

const knownAnnexKeys = remembering(
  (items: readonly MenuItem[], ids: string): ReadonlySet<string> => new Set(annexItems(items, ids.split('\n')).keys()),
  (ids) => [ids],
);

const setsOf = remembering(
  ({ open, closing }: GroupsState) => ({ open: new Set(open), closing: new Set(closing) }),
  () => [],
);

/** What a sidebar holds as the app arranges it, with the parts of it among its own markup. */
export const ownColumn = remembering(
  (view: ViewElement<SidebarViewEvent>) => frameOf(view, 'ft-sidebar-panel'),
  () => [],
);
