import { useCallback, useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import {
  englishWording,
  estimateRoom,
  everyEntry,
  hrefOf,
  locate,
  menuItems,
  rungFor,
  type Badges,
  type MenuItem,
  type Position,
  type Site,
  type SiteRecords,
  type Wording,
} from '../core/index.ts';
import { iconSlot, isFilled } from '../react/slots.ts';
import { ConditionFields, type ConditionOptions } from './condition-fields.tsx';
import { readConditions, usualConditions, writeConditions, type Conditions } from './conditions.ts';
import { FrameContext } from './frame.tsx';
import { IconsTable } from './icons-table.tsx';
import { Motion } from './motion.tsx';
import type { ComputedNames } from './notes.ts';
import { NotesSection } from './notes-section.tsx';
import { OwnTable, type OwnSpecimens } from './own-table.tsx';
import { PagesTable } from './pages-table.tsx';
import { ProblemList, type SheetProblem } from './problem-list.tsx';
import { Room } from './room.tsx';
import { sampledRecords, sampledSite } from './sampled-site.ts';
import { SheetSurroundings, type SheetContext, type SheetMenus } from './sheet-context.ts';
import { menusOf } from './sheet-menus.ts';
import type { SheetStyles } from './sheet-styles.ts';
import { stateTables } from './state-tables.ts';
import { StateTable } from './state-table.tsx';
import { SheetTrail } from './surroundings.tsx';
import { WholePage } from './whole-page.tsx';
import type { SpecimenTable } from './specimen.ts';

export interface SheetProps {
  readonly site: Site;
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
  /** What browsers tell assistive technology of the parts. Default: it is not told. */
  readonly names?: ComputedNames | null;
  /** Where the conditions are kept. Default: the query of the document's address. */
  readonly initialConditions?: Conditions;
  /** Told of new conditions. */
  readonly onConditions?: (conditions: Conditions) => void;
}

const noRecords: SiteRecords = {};
const noBadges: Badges = {};
const ownThemes = ['default', 'estuary'];
const noOwn: readonly OwnSpecimens[] = [];

/** Every component in every state, made from the site and the stylesheets that the app itself uses. */
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
      icon: iconSlot(icon),
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

  const context = useMemo<SheetContext>(
    () => ({
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
    }),
    [
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
    ],
  );
  const frames = useMemo(
    () => ({ conditions, styles, language, direction, onFollow: follow }),
    [conditions, styles, language, direction, follow],
  );
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
                Every part of the navigation in every state, drawn by the components themselves. What is followed in the
                whole page changes the address of the sheet.
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

interface DrawnTableProps {
  readonly table: SpecimenTable;
  readonly slots: SheetContext['slots'];
  readonly names: ComputedNames | null;
  readonly conditions: Conditions;
}

/** A table with its notes. */
function DrawnTable({ table, slots, names, conditions }: DrawnTableProps): ReactNode {
  const [drawn, setDrawn] = useState<{ readonly document: Document; readonly round: number } | null>(null);
  const look = useCallback(
    (document: Document) => setDrawn((last) => ({ document, round: (last?.round ?? 0) + 1 })),
    [],
  );
  return (
    <Section name={table.name} title={table.title}>
      {table.of > table.specimens.length && (
        <p className="ft-sheet-sampled">
          {table.specimens.length} of {table.of} rows are shown: the first, the longest and the shortest, and those of a
          kind of their own.
        </p>
      )}
      <StateTable table={table} conditions={conditions} slots={slots} onReady={look} />
      {drawn && <NotesSection table={table} document={drawn.document} names={names} round={drawn.round} />}
    </Section>
  );
}

interface SectionProps {
  readonly name: string;
  readonly title: string;
  readonly children: ReactNode;
}

function Section({ name, title, children }: SectionProps): ReactNode {
  return (
    <section className="ft-sheet-section" id={`sheet-${name}`} aria-labelledby={`sheet-${name}-title`}>
      <h2 id={`sheet-${name}-title`} tabIndex={-1}>
        {title}
      </h2>
      {children}
    </section>
  );
}

interface ContentsProps {
  readonly tables: readonly SpecimenTable[];
  readonly own: readonly OwnSpecimens[];
}

function Contents({ tables, own }: ContentsProps): ReactNode {
  const sections = [
    ['whole-page', 'The whole page'],
    ...tables.map(({ name, title }) => [name, title]),
    ...own.map(({ name, title }) => [`own-${name}`, title]),
    ['pages', 'Pages side by side'],
    ['icons', 'Icons'],
    ['room', 'Room'],
    ['motion', 'Motion'],
  ];
  return (
    <nav aria-label="Contents" className="ft-sheet-contents">
      <ul role="list">
        {sections.map(([name, title]) => (
          <li key={name}>
            <a href={`#sheet-${name ?? ''}`}>{title}</a>
          </li>
        ))}
      </ul>
    </nav>
  );
}

type Change = (change: Partial<Conditions>) => void;

/** The conditions, and the address that says them. */
function useConditions(
  initial: Conditions | undefined,
  onConditions: ((conditions: Conditions) => void) | undefined,
): readonly [Conditions, Change] {
  const [conditions, setConditions] = useState(
    () =>
      initial ??
      (typeof window === 'undefined' ? usualConditions : readConditions(new URLSearchParams(window.location.search))),
  );
  const change = useCallback<Change>((next) => setConditions((last) => ({ ...last, ...next })), []);
  const told = useRef(onConditions);
  useEffect(() => {
    told.current = onConditions;
  });
  useEffect(() => {
    told.current?.(conditions);
    if (initial) return;
    const { location, history } = window;
    const query = writeConditions(conditions, new URLSearchParams(location.search)).toString();
    const search = query === '' ? '' : `?${query}`;
    if (search !== location.search)
      history.replaceState(history.state, '', `${location.pathname}${search}${location.hash}`);
  }, [conditions, initial]);
  return [conditions, change];
}

/** The place that an address names, in a language; an address that is none of the site's is shown as such. */
function placeIn(
  site: Site,
  address: string | null,
  language: string,
): { readonly url: string; readonly position: Position } {
  const home = site.home ? hrefOf(site, site.home) : null;
  const url = address ?? home ?? `${site.base}/`;
  const found = locate(site, url);
  const translated =
    found.entry && language !== found.language ? hrefOf(site, found.entry, found.params, language) : null;
  return translated === null ? { url, position: found } : { url: translated, position: locate(site, translated) };
}

const rightToLeft = /^(?:ar|arc|ckb|dv|fa|he|ks|ps|sd|ug|ur|yi)(?:-|$)/iu;

function directionOf(language: string): 'ltr' | 'rtl' {
  return rightToLeft.test(language) && !/-Latn\b/iu.test(language) ? 'rtl' : 'ltr';
}

/** The last page that holds others, where there is another one beside it that opens in place. */
function usualAnnex(items: readonly MenuItem[]): readonly string[] {
  const flat = (list: readonly MenuItem[]): readonly MenuItem[] => list.flatMap((item) => [item, ...flat(item.items)]);
  const holders = flat(items).filter(({ kind, items: below }) => kind === 'link' && below.length > 0);
  const last = holders.length > 1 ? holders.at(-1)?.entry : null;
  return last ? [last.id] : [];
}

function optionsOf(
  site: Site,
  themes: readonly string[],
  itemsOf: (menu: string) => readonly MenuItem[],
  menus: SheetMenus,
): ConditionOptions {
  const entries = [...everyEntry(site.entries)];
  const audiences = new Set([...(site.audiences ?? []), ...entries.flatMap(({ audiences: of }) => of.flat())]);
  const hrefs = new Set<string>();
  const collect = (items: readonly MenuItem[]) => {
    for (const { href, items: below } of items) {
      if (href?.startsWith('/') === true && hrefs.size < mostAddresses) hrefs.add(href);
      collect(below);
    }
  };
  for (const menu of Object.values(menus) as string[]) collect(itemsOf(menu));
  return {
    themes,
    audiences: [...audiences],
    languages: site.languages,
    addresses: [...hrefs],
    home: (site.home && hrefOf(site, site.home)) ?? `${site.base}/`,
  };
}

/** As many as a list of suggestions helps with. */
const mostAddresses = 200;
