import { closedDisclosures, type DisclosuresState } from '../interaction/disclosures.ts';
import type { FoldRange } from '../layout/fold.ts';
import type { Breadcrumb } from '../site/breadcrumbs.ts';
import type { MenuItem } from '../site/menu-item.ts';
import type { Wording } from '../wording.ts';
import { menuView, type ActionEvent } from './menu-view.ts';
import { panelSign, type PressEvent } from './panel-view.ts';
import { documentId, element, slot, type ViewElement, type ViewNode } from './view.ts';

/** What the elements of breadcrumbs report. */
export type BreadcrumbViewEvent = PressEvent | UnfoldEvent | ActionEvent;

/** The button was activated that stands for the steps that are folded away. */
export interface UnfoldEvent {
  readonly type: 'unfold';
}

export interface BreadcrumbViewOptions {
  readonly wording: Wording;
  /** The steps that are folded away behind a button; null for none. Default: null. */
  readonly fold?: FoldRange | null;
  /** Whether the reader has asked for those that were folded away: then they may take another line. Default: false. */
  readonly revealed?: boolean;
  /** What the step of the page itself is. Default: `text`. */
  readonly current?: 'text' | 'link';
  /** What is shown where room is short: as much as fits, or the `parent` alone. Default: `fold`. */
  readonly whenNarrow?: 'fold' | 'parent';
  /**
   * What stands beside a step, by its entry's id, in a panel of its own. Nothing yet is no items: what no one has asked for
   * may be long. Default: no step has a panel.
   */
  readonly siblings?: Readonly<Record<string, readonly MenuItem[]>>;
  /** Begins the ids of panels. Default: `ft-breadcrumbs`. */
  readonly idPrefix?: string;
  /** Default: all panels are closed. */
  readonly panels?: DisclosuresState;
  /** The slots that the app fills. Default: none. */
  readonly slots?: { readonly icon: boolean; readonly separator: boolean };
}

const noSlots = { icon: false, separator: false };

/**
 * The way to the current page, after the breadcrumb pattern of the ARIA Authoring Practices.
 *
 * @returns null where there is nothing to go back to: on the home page itself, and where there are no steps
 */
export function breadcrumbView(
  steps: readonly Breadcrumb[],
  options: BreadcrumbViewOptions,
): ViewElement<BreadcrumbViewEvent> | null {
  if (steps.every((step) => step.current)) return null;
  const { wording, fold = null, revealed = false, whenNarrow = 'fold', slots = noSlots } = options;
  const parent = steps.findLastIndex((step) => !step.current);
  const items = steps.flatMap((step, index) => {
    const isFolded = fold !== null && index >= fold.start && index < fold.start + fold.count;
    const item = itemView(step, { isFolded, isParent: index === parent, isFirst: index === 0 }, options);
    return isFolded && index === fold.start
      ? [foldView(fold.count, slots.separator && index > 0, wording), item]
      : [item];
  });
  const list = element('ol', { class: 'ft-breadcrumb-list', role: 'list', 'data-ft-row': true }, items);
  const attributes = {
    class: 'ft-breadcrumbs',
    'aria-label': wording.breadcrumbs,
    'data-ft-narrow': whenNarrow,
    'data-ft-revealed': revealed,
    'data-ft-separator': slots.separator,
  };
  return element('nav', attributes, [list]);
}

interface StepPlacement {
  readonly isFolded: boolean;
  readonly isParent: boolean;
  readonly isFirst: boolean;
}

function itemView(
  step: Breadcrumb,
  place: StepPlacement,
  options: BreadcrumbViewOptions,
): ViewElement<BreadcrumbViewEvent> {
  const { slots = noSlots, siblings = {}, panels = closedDisclosures, wording, idPrefix = 'ft-breadcrumbs' } = options;
  const { id } = step.entry;
  const separator = slots.separator && !place.isFirst ? separatorView() : null;
  const beside = siblings[id];
  const attributes = {
    class: 'ft-breadcrumb',
    'data-ft-folded': place.isFolded,
    'data-ft-parent': place.isParent,
    'data-ft-item': beside ? id : null,
  };
  const parts: (ViewNode<BreadcrumbViewEvent> | null)[] = [separator, stepView(step, options)];
  if (beside) {
    const panelId = documentId(idPrefix, id);
    const button = {
      class: 'ft-panel-trigger',
      type: 'button',
      'aria-expanded': String(panels.open.includes(id)),
      'aria-controls': panelId,
      'aria-label': wording.beside.replace('{label}', () => step.label),
    };
    parts.push(
      element<PressEvent>('button', button, [panelSign], { key: 'trigger', click: { type: 'press', id } }),
      element(
        'div',
        { class: 'ft-panel', id: panelId, 'data-ft-form': 'list', inert: panels.closing.includes(id) },
        [
          beside.length > 0
            ? element('div', { class: 'ft-panel-content' }, [menuView(beside, { wording, icons: slots.icon })])
            : null,
        ],
        { key: 'panel' },
      ),
    );
  }
  return element('li', attributes, parts, { key: id });
}

function stepView({ label, href, current, entry }: Breadcrumb, options: BreadcrumbViewOptions): ViewElement {
  const { slots = noSlots } = options;
  const content = [
    slots.icon && entry.icon !== null ? slot('icon', entry.icon) : null,
    // The label alone is cut where room is short, and its link's outline is not.
    element('span', { class: 'ft-breadcrumb-label' }, [label]),
  ];
  const page = current ? 'page' : null;
  const isLink = href !== null && (!current || options.current === 'link');
  return isLink
    ? element('a', { class: 'ft-breadcrumb-link', href, 'aria-current': page }, content)
    : element('span', { class: 'ft-breadcrumb-text', 'aria-current': page }, content);
}

function foldView(count: number, hasSeparator: boolean, wording: Wording): ViewElement<UnfoldEvent> {
  const attributes = {
    class: 'ft-breadcrumb-button',
    type: 'button',
    // It goes as it is pressed, and so is never expanded.
    'aria-expanded': 'false',
    'aria-label': wording.unfold.replace('{count}', () => String(count)),
  };
  const button = element<UnfoldEvent>('button', attributes, ['…'], { click: { type: 'unfold' } });
  const parts = [hasSeparator ? separatorView() : null, button];
  return element('li', { class: 'ft-breadcrumb ft-breadcrumb-fold' }, parts, { key: 'fold' });
}

function separatorView(): ViewElement {
  const attributes = { class: 'ft-breadcrumb-separator', 'aria-hidden': 'true' };
  return element('span', attributes, [slot('separator')], { key: 'separator' });
}
