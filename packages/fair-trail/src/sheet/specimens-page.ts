import type { Breadcrumb } from '../core/site/breadcrumbs.ts';
import { languageLinks } from '../core/site/language-links.ts';
import type { Position } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { hasSiblings, siblingItems, type Visit } from '../core/site/menus.ts';
import type { DefinedSite } from '../core/site/site.ts';
import { breadcrumbView } from '../core/view/breadcrumb-view.ts';
import { footerView } from '../core/view/footer-view.ts';
import { languagesView } from '../core/view/languages-view.ts';
import { itemKey } from '../core/view/menu-view.ts';
import { noticeView } from '../core/view/notice-view.ts';
import { skipLinkView } from '../core/view/skip-link-view.ts';
import { tabLinksView } from '../core/view/tab-links-view.ts';
import { tablistView, tabpanelView } from '../core/view/tabs-view.ts';
import { element, type ViewElement } from '../core/view/view.ts';
import type { Wording } from '../core/wording.ts';
import { panelsWith } from './specimens-bar.ts';
import { itemIn, linkStates, prunedView, specimen, tableOf, type Specimen, type SpecimenTable } from './specimen.ts';

interface Source {
  readonly wording: Wording;
  readonly icons: boolean;
}

const isLink = ({ kind }: MenuItem) => kind === 'link';

/** Tabs hold what is on one page and are no part of a site file: the labels are borrowed from a menu. */
export function tabsTable(items: readonly MenuItem[], { wording, icons }: Source): SpecimenTable | null {
  const labels = items.filter(isLink).slice(0, 4);
  const rows = labels.map((item) => {
    const view = (state: string, id: string) => {
      const tab = {
        id: 'tab',
        label: item.label,
        disabled: state === 'disabled',
        ...(item.icon !== null && { icon: item.icon }),
      };
      return tablistView({
        tabs: [tab],
        state: {
          tabs: [tab],
          selected: state === 'selected' ? tab.id : null,
          reachable: tab.id,
          activation: 'automatic',
        },
        label: wording.more,
        idPrefix: id,
        orientation: 'horizontal',
        fills: false,
        icons,
        panels: [],
      });
    };
    return specimen('tab', item.label, view, { key: itemKey(item), item });
  });
  if (rows.length === 0) return null;
  const panel = specimen('tab panel', 'What a tab shows', (state, id) =>
    tabpanelView({ id: 'tab', label: wording.more, selected: state !== 'unselected', idPrefix: id }),
  );
  return tableOf({ name: 'tabs', title: 'Tabs', columnWidth: 9 }, [panel], rows);
}

export function tabLinksTable(items: readonly MenuItem[], { wording, icons }: Source): SpecimenTable | null {
  const rows = items.filter(isLink).map((item) =>
    specimen(
      'link',
      item.label,
      (state, id) =>
        tabLinksView({
          items: [{ ...itemIn(item, state), items: [] }],
          label: wording.more,
          idPrefix: id,
          fills: false,
          icons,
          wording,
        }),
      { key: itemKey(item), states: linkStates({ ...item, items: [] }), item },
    ),
  );
  return rows.length > 0 ? tableOf({ name: 'tab-links', title: 'Links that look like tabs' }, [], rows) : null;
}

export function breadcrumbsTable(
  steps: readonly Breadcrumb[],
  site: DefinedSite,
  visit: Visit,
  { wording, icons }: Source,
): SpecimenTable | null {
  const slots = { icon: icons, separator: false };
  const withStep = (step: Breadcrumb, more: Partial<Parameters<typeof breadcrumbView>[1]>): ViewElement<unknown> => {
    // A way that is nothing but the page itself is not drawn: another step goes before it.
    const other = steps.find((one) => one.entry !== step.entry && !one.current);
    const view = breadcrumbView(step.current && other ? [other, step] : [step], { wording, slots, ...more });
    return view ? prunedView(view, 'ft-breadcrumb-list', [step.entry.id]) : nothing;
  };
  // A step without a page is plain text: it has no states.
  const links = steps.filter(({ href }) => href !== null);
  const rows = links.map((step) =>
    specimen('breadcrumb link', step.label, () => withStep(step, { current: 'link' }), {
      key: step.entry.id,
      states: step.current ? ['hover', 'focus', 'pressed', 'current page'] : ['rest', 'hover', 'focus', 'pressed'],
    }),
  );
  const before = steps.findLast((step) => !step.current);
  if (!before) return null;
  const fold = specimen(
    'breadcrumb button',
    wording.unfold.replace('{count}', () => '1'),
    () => {
      const view = breadcrumbView([before], { wording, slots, fold: { start: 0, count: 1 } });
      return view ? prunedView(view, 'ft-breadcrumb-list', ['fold']) : nothing;
    },
  );
  const beside = steps.filter(({ entry }) => hasSiblings(site, entry, visit)).slice(0, 1);
  const siblings = beside.map((step): Specimen => {
    const items = siblingItems(site, step.entry, visit);
    return specimen(
      'panel trigger',
      wording.beside.replace('{label}', () => step.label),
      (state, id) =>
        withStep(step, {
          siblings: { [step.entry.id]: items },
          idPrefix: id,
          panels: panelsWith(state === 'expanded' ? step.entry.id : null),
        }),
      { states: ['rest', 'hover', 'focus', 'pressed', 'expanded'] },
    );
  });
  return tableOf(
    { name: 'breadcrumbs', title: 'Breadcrumbs', columnWidth: breadcrumbsWidth },
    [fold, ...siblings],
    rows,
  );
}

/** In less room than that, breadcrumbs show nothing but the parent. */
const breadcrumbsWidth = 12;

const nothing = element('span', {});

export function footerTable(items: readonly MenuItem[], { wording, icons }: Source): SpecimenTable | null {
  const members = items.flatMap((item) => (item.items.length > 0 ? [item, ...item.items] : [item])).filter(isLink);
  const rows = members.map((item) =>
    specimen(
      'link',
      item.label,
      (state, id) =>
        footerView({
          items: [{ ...itemIn(item, state), items: [] }],
          label: wording.footerNavigation,
          idPrefix: id,
          slots: { icon: icons, form: false, foot: false },
          wording,
        }),
      { key: itemKey(item), states: linkStates({ ...item, items: [] }), item },
    ),
  );
  return rows.length > 0 ? tableOf({ name: 'footer', title: 'Footer' }, [], rows) : null;
}

/** What a page has besides its menus. */
export function pageTable(site: DefinedSite, position: Position, { wording }: Source): SpecimenTable {
  const skip = specimen('skip link', wording.skipToContent, () => skipLinkView(wording));
  const notice = specimen('notice button', wording.dismiss, () => noticeView({ name: 'sheet', wording }));
  const buttons = (['plain', 'primary'] as const).map((kind) =>
    specimen(
      kind === 'plain' ? 'button' : 'primary button',
      wording.tryAgain,
      () => element('button', { 'data-ft-button': kind, type: 'button' }, [wording.tryAgain]),
      { key: kind },
    ),
  );
  const links = languageLinks(site, position);
  // With one language there is nothing to choose, and the component is not used.
  const languages = (links.length > 1 ? links : []).map((link) =>
    specimen('language', link.label, () => languagesView([link], wording), { key: link.language }),
  );
  return tableOf({ name: 'page', title: 'Other parts of a page', columnWidth: 11 }, [
    skip,
    notice,
    ...buttons,
    ...languages,
  ]);
}
