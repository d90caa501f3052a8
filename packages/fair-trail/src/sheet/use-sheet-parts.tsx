import { useCallback, useMemo, useState, type ReactNode } from 'react';
import { estimateRoom, rungFor } from '../core/layout/room.ts';
import { hrefOf } from '../core/site/hrefs.ts';
import { locate } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { menuItems } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import { englishWording } from '../core/wording.ts';
import { isFilled } from '../react/slots.ts';
import type { ConditionOptions } from './condition-fields.tsx';
import type { Conditions } from './conditions.ts';
import { FrameContext, type FrameSurroundings } from './frame.tsx';
import { sampledRecords, sampledSite } from './sampled-site.ts';
import { SheetSurroundings, type SheetContext } from './sheet-context.ts';
import { menusOf } from './sheet-menus.ts';
import { directionOf, optionsOf, placeIn, usualAnnex } from './sheet-place.ts';
import type { SheetProps } from './sheet-props.ts';
import { shareTables } from './share-tables.ts';
import type { SpecimenTable } from './specimen.ts';
import { stateTables } from './state-tables.ts';
import { SheetTrail } from './surroundings.tsx';
import { useSame } from './use-same.ts';

const noRecords: SiteRecords = {};
const noBadges = {};
const ownThemes = ['default', 'estuary'];

/** All that the sections of a sheet are drawn from. */
export interface SheetParts {
  readonly context: SheetContext;
  readonly frames: FrameSurroundings;
  readonly tables: readonly SpecimenTable[];
  readonly options: ConditionOptions;
  /** How many entries are shown, of how many. */
  readonly shown: number;
  readonly of: number;
  /** Called by the bar, once it is drawn: whether its menu stands behind its toggle. */
  readonly setMeasured: (isNarrow: boolean) => void;
}

/** What a sheet of a site is made of, under these conditions. */
export function useSheetParts(
  props: Omit<SheetProps, 'problems' | 'names' | 'own' | 'initialConditions' | 'onConditions'>,
  conditions: Conditions,
  change: (change: Partial<Conditions>) => void,
): SheetParts {
  const { site: whole, badges = noBadges, themes = ownThemes, styles = 'document' } = props;
  const { icon, brand, end, menus: givenMenus } = props;
  const { site, shown, of } = useMemo(() => sampledSite(whole), [whole]);
  const records = useMemo(() => sampledRecords(props.records ?? noRecords), [props.records]);
  const wording = useMemo(() => ({ ...englishWording, ...props.wording }), [props.wording]);
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
  const fresh = useMemo(
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
  const tables = useSharedTables(fresh);

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
  const frames = useSame<FrameSurroundings>({ conditions, styles, language, direction, onFollow: follow });
  const options = useMemo(() => optionsOf(site, themes, itemsOf, menus), [site, themes, itemsOf, menus]);
  return { context, frames, tables, options, shown, of, setMeasured };
}

function useSharedTables(fresh: readonly SpecimenTable[]): readonly SpecimenTable[] {
  const [kept, setKept] = useState({ fresh, shared: fresh });
  if (kept.fresh === fresh) return kept.shared;
  const shared = shareTables(kept.shared, fresh);
  setKept({ fresh, shared });
  return shared;
}

export interface SheetProviderProps {
  readonly parts: SheetParts;
  /** Said before what each frame holds, where there are several of a kind. */
  readonly version?: string;
  readonly children: ReactNode;
}

/** What the sections of a sheet stand in. */
export function SheetProvider({ parts, version, children }: SheetProviderProps): ReactNode {
  const { context, frames } = parts;
  const named = useMemo(() => (version === undefined ? frames : { ...frames, version }), [frames, version]);
  return (
    <SheetSurroundings.Provider value={context}>
      <FrameContext.Provider value={named}>
        <SheetTrail {...context} onNavigate={context.follow}>
          {children}
        </SheetTrail>
      </FrameContext.Provider>
    </SheetSurroundings.Provider>
  );
}
