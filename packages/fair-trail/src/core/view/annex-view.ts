import type { Filtered } from '../site/filter.ts';
import { queryPair } from '../site/encoding.ts';
import type { Wording } from '../wording.ts';
import { closeView } from './close-view.ts';
import { filterView } from './filter-view.ts';
import { itemKey, linkView } from './menu-view.ts';
import type { ShownPieces } from './pieces.ts';
import { treeView, type AnnexItem, type TreeViewEvent } from './tree-view.ts';
import { element, slot, type ViewElement } from './view.ts';

/** The button that closes an annex was activated. */
export interface CloseAnnexEvent {
  readonly type: 'close-annex';
}

export type AnnexViewEvent = CloseAnnexEvent | TreeViewEvent;

export interface AnnexViewOptions {
  readonly id: string;
  /** The item that it belongs to, and its id: the groups in the annex go on from that. */
  readonly of: AnnexItem;
  /** The key of the item that the address asks for: another one while this leaves. */
  readonly chosen: string | null;
  /** Whether it is on its way out, and to be seen still. */
  readonly leaving: boolean;
  /** Whether it has a field that filters, and what is left of its items; null for all. Default: no field. */
  readonly filter?: { readonly filtered: Filtered | null } | null;
  /** Whether the app puts something below the list. */
  readonly hasSlot: boolean;
  /** The level of its title. Default: 2. */
  readonly headingLevel?: 2 | 3 | 4;
  readonly icons: boolean;
  readonly wording: Wording;
  /** The key of the query that keeps it open: its links carry it on. */
  readonly parameter: string;
  /** The ids of its groups that are open, and of those that are closing. */
  readonly open: ReadonlySet<string>;
  readonly closing: ReadonlySet<string>;
  /** What is drawn of a menu that is too large to be drawn as a whole; null if all of it is. Default: all. */
  readonly pieces?: ShownPieces | null;
}

const noKeys: ReadonlySet<string> = new Set();

/** The second panel that grows out of a sidebar: what is below one of its items, with a field and a list of its own. */
export function annexView(options: AnnexViewOptions): ViewElement<AnnexViewEvent> {
  const { id, of, filter = null, parameter, leaving, wording, icons, headingLevel = 2 } = options;
  const { item } = of;
  const search = queryPair(parameter, itemKey(item));
  const titleId = `${id}-title`;
  const filtered = filter?.filtered ?? null;
  const title = element(
    `h${headingLevel}`,
    { class: 'ft-annex-title', id: titleId, tabindex: '-1' },
    [item.kind === 'link' ? linkView(item, { wording, icons, search }) : item.label],
    { key: 'title' },
  );
  const tree = {
    idPrefix: id,
    wording,
    icons,
    search,
    open: options.open,
    closing: options.closing,
    pieces: options.pieces ?? null,
    filtered,
    annex: { keys: noKeys, id, chosen: null, parameter },
  };
  const closed: CloseAnnexEvent = { type: 'close-annex' };
  return element<AnnexViewEvent>(
    'nav',
    { class: 'ft-annex', id, 'aria-labelledby': titleId, inert: leaving },
    [
      element('div', { class: 'ft-annex-head' }, [title, closeView('ft-annex-close', closed, item.label, wording)]),
      filter && filterView({ id: `${id}-filter`, filtered, wording }),
      treeView(item.items, of.id, tree),
      options.hasSlot
        ? element('div', { class: 'ft-annex-panel' }, [slot('panel', item.label)], { key: 'panel' })
        : null,
    ],
    // Another choice is another panel: it comes in as one, and takes nothing of the last one's with it.
    { key: `annex/${item.entry?.id ?? item.label}` },
  );
}
