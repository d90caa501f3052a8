import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { estimateRoom, rungFor } from '../core/layout/room.ts';
import { hrefOf } from '../core/site/hrefs.ts';
import { locate } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { type Badges, menuItems } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { DefinedSite } from '../core/site/site.ts';
import { englishWording, type Wording } from '../core/wording.ts';
import { isFilled } from '../react/slots.ts';
import { ConditionFields } from './condition-fields.tsx';
import { usualConditions, type Conditions } from './conditions.ts';
import { FrameContext } from './frame.tsx';
import { IconsTable } from './icons-table.tsx';
import { Motion } from './motion.tsx';
import type { ComputedNames } from './notes.ts';
import { OwnTable, type OwnSpecimens } from './own-table.tsx';
import { PagesTable } from './pages-table.tsx';
import { ProblemList, type SheetProblem } from './problem-list.tsx';
import { Room } from './room.tsx';
import { sampledRecords, sampledSite } from './sampled-site.ts';
import { Contents, DrawnTable, Section } from './sections.tsx';
import { SheetSurroundings, type SheetContext, type SheetMenus } from './sheet-context.ts';
import { menusOf } from './sheet-menus.ts';
import { directionOf, optionsOf, placeIn, usualAnnex } from './sheet-place.ts';
import type { SheetStyles } from './sheet-styles.ts';
import { stateTables } from './state-tables.ts';
import { SheetTrail } from './surroundings.tsx';
import { useConditions } from './use-conditions.ts';
import { useSame } from './use-same.ts';
import { WholePage } from './whole-page.tsx';

/**
 * The properties of a `Sheet`.
 */
export interface SheetProps {
  readonly site: DefinedSite;
  /** Default: none. */
  readonly records?: SiteRecords;
  /** Default: what the site file says. */
  readonly badges?: Badges;
  /** Words to say instead of the English ones. */
  readonly wording?: Partial<Wording>;
  /** Which menu is shown in which component. Default: what the menus' names and shapes suggest. */
  readonly menus?: Partial<SheetMenus>;
  /** Draws an icon by its name in the site file, as in the components. */
  readonly icon?: (name: string) => ReactNode;
  /** Stands in the bar, as in `Navbar`. Default: the site's name. */
  readonly brand?: ReactNode;
  /** Stands at the end of the bar, as in `Navbar`. */
  readonly end?: ReactNode;
  /** The ids of entries whose items open in the sidebar's annex. Default: the last page of its menu that holds others. */
  readonly annex?: readonly string[];
  /** The names of the themes that there are, the usual one first. Default: `default` and `estuary`, the library's own. */
  readonly themes?: readonly string[];
  /** The specimens' stylesheets. Default: `document`, which is all that the page around the sheet has. */
  readonly styles?: SheetStyles;
  /** Components of the app's own, in their states. Default: none. */
  readonly own?: readonly OwnSpecimens[];
  /** What is wrong with the site file or the theme. Default: what the site itself knows. */
  readonly problems?: readonly SheetProblem[];
  /** What browsers expose of the parts to assistive technology. Default: it is not shown. */
  readonly names?: ComputedNames | null;
  /** Where the conditions are kept. Default: the query of the document's address. */
  readonly initialConditions?: Conditions;
  /** Called with new conditions. */
  readonly onConditions?: (conditions: Conditions) => void;
}

const noRecords: SiteRecords = {};
const noBadges: Badges = {};
const ownThemes = ['default', 'estuary'];
const noOwn: readonly OwnSpecimens[] = [];

/**
 * Every component in every state, made from the site and the stylesheets that the app itself uses.
 *
 * @example
 * createRoot(container).render(<Sheet site={site} />);
 */
export function Sheet(props: SheetProps): ReactNode {
  const { site: whole, badges = noBadges, themes = ownThemes, styles = 'document', own = noOwn } = props;
  const { icon, brand, end, problems = whole.problems, names = null, menus: givenMenus } = props;
  const { site, shown, of } = useMemo(() => sampledSite(whole), [whole]);
  const records = useMemo(() => sampledRecords(props.records ?? noRecords), [props.records]);
  const wording = useMemo(() => ({ ...englishWording, ...props.wording }), [props.wording]);
  const [conditions, change] = useConditions(props.initialConditions, props.onConditions);
  const { audience } = conditions;

  const language = site.languages.includes(conditions.language ?? '') ? (conditions.language ?? '') : site.language;
  const { url, position } = useMemo(
    () => placeIn(site, conditions.address, language),
    [site, conditions.address, language],
  );
  const direction = conditions.direction === 'auto' ? directionOf(language) : conditions.direction;
  const itemsOf = useCallback(
    (menu: string): readonly MenuItem[] => menuItems(site, menu, { audience, records, badges, language }),
    [site, audience, records, badges, language],
  );
  const menus = useMemo(
    () => menusOf(site, (menu) => itemsOf(menu).length > 0, givenMenus),
    [site, itemsOf, givenMenus],
  );
  const follow = useCallback(
    (href: string) => {
      const found = locate(site, href);
      const address = found.entry ? (hrefOf(site, found.entry, found.params) ?? href) : href;
      const query = /\?[^#]*/u.exec(href)?.[0] ?? '';
      change({ address: address.includes('?') ? address : address + query });
    },
    [site, change],
  );
  const annex = useMemo(() => props.annex ?? usualAnnex(itemsOf(menus.sidebar)), [props.annex, itemsOf, menus.sidebar]);

  const estimate = useMemo(
    () =>
      rungFor(
        estimateRoom({
          items: itemsOf(menus.bar),
          brandText: isFilled(brand) ? null : site.name,
          icons: icon !== undefined,
          slots: isFilled(end) ? 1 : 0,
        }),
      ),
    [itemsOf, menus.bar, brand, site.name, icon, end],
  );
  // The bar itself knows, once it is drawn; until then, what a server would say.
  const [measured, setMeasured] = useState<boolean | null>(null);
  const isNarrow = measured ?? (estimate === null || conditions.width < (estimate * 16 * conditions.text) / 100);

  const slots = useMemo(
    () => ({
      ...(icon && { icon }),
      brand: () => brand,
      end: () => end,
      content: () => <span>A notice, or what a tab shows.</span>,
      page: () => null,
    }),
    [icon, brand, end],
  );
  const hasIcons = icon !== undefined;
  const hasBrand = isFilled(brand);
  const tables = useMemo(
    () =>
      stateTables(
        { site, wording, icons: hasIcons, brand: hasBrand, narrow: isNarrow },
        {
          bar: itemsOf(menus.bar),
          sidebar: itemsOf(menus.sidebar),
          strip: itemsOf(menus.strip),
          footer: itemsOf(menus.footer),
        },
        { annex, visit: { position, audience, records, badges, language } },
      ),
    [site, wording, hasIcons, hasBrand, isNarrow, itemsOf, menus, annex, position, audience, records, badges, language],
  );

  const context = useSame<SheetContext>({
    site,
    whole,
    records,
    badges,
    wording,
    audience,
    conditions,
    menus,
    url,
    position,
    icon,
    brand,
    end,
    annex,
    slots,
    change,
    follow,
    itemsOf,
  });
  const frames = useSame({ conditions, styles, language, direction, onFollow: follow });
  const options = useMemo(() => optionsOf(site, themes, itemsOf, menus), [site, themes, itemsOf, menus]);
  return (
    <SheetSurroundings.Provider value={context}>
      <FrameContext.Provider value={frames}>
        <SheetTrail {...context} onNavigate={follow}>
          <div
            className="ft-sheet"
            data-ft-scheme={conditions.scheme === 'system' ? undefined : conditions.scheme}
            data-ft-theme={conditions.theme === 'default' ? undefined : conditions.theme}
          >
            <header className="ft-sheet-head">
              <h1>{site.name}: state sheet</h1>
              <p>
                Every part of the navigation in every state, drawn by the components themselves. Links in the page
                preview change the sheet’s address.
              </p>
              <Contents tables={tables} own={own} />
            </header>
            <ConditionFields
              conditions={conditions}
              options={options}
              onChange={change}
              onReset={() => change(usualConditions)}
            />
            <main className="ft-sheet-body">
              {shown < of && (
                <p className="ft-sheet-sampled">
                  {shown} of {of} entries are in this sheet: the first of each list, the longest and the shortest
                  labels, and what they stand in.
                </p>
              )}
              <ProblemList problems={problems} />
              <Section name="whole-page" title="The whole page">
                <WholePage onForm={setMeasured} />
              </Section>
              {tables.map((table) => (
                <DrawnTable key={table.name} table={table} slots={slots} names={names} conditions={conditions} />
              ))}
              {own.map((specimens) => (
                <Section key={specimens.name} name={`own-${specimens.name}`} title={specimens.title}>
                  <OwnTable specimens={specimens} />
                </Section>
              ))}
              <Section name="pages" title="Pages side by side">
                <PagesTable />
              </Section>
              <Section name="icons" title="Icons">
                <IconsTable />
              </Section>
              <Section name="room" title="Room">
                <Room />
              </Section>
              <Section name="motion" title="Motion">
                <Motion />
              </Section>
            </main>
          </div>
        </SheetTrail>
      </FrameContext.Provider>
    </SheetSurroundings.Provider>
  );
}
