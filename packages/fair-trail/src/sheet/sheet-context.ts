import { createContext, useContext, type ReactNode } from 'react';
import type { Audience } from '../core/site/entry.ts';
import type { Position } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import type { Badges } from '../core/site/menus.ts';
import type { SiteRecords } from '../core/site/records.ts';
import type { DefinedSite } from '../core/site/site.ts';
import type { Wording } from '../core/wording.ts';
import type { SlotContents } from '../react/printer.ts';
import type { Conditions } from './conditions.ts';

/** Which menu of the site is shown in which component. */
export interface SheetMenus {
  readonly bar: string;
  readonly sidebar: string;
  readonly strip: string;
  readonly footer: string;
}

/** What the parts of a sheet know. */
export interface SheetContext {
  /** What is drawn: of a large site, some of its entries. */
  readonly site: DefinedSite;
  readonly whole: DefinedSite;
  readonly records: SiteRecords;
  readonly badges: Badges;
  readonly wording: Wording;
  readonly audience: Audience;
  readonly conditions: Conditions;
  readonly menus: SheetMenus;
  /** The address of the conditions, in their language. */
  readonly url: string;
  readonly position: Position;
  readonly icon: ((name: string) => ReactNode) | undefined;
  readonly brand: ReactNode;
  readonly end: ReactNode;
  readonly annex: readonly string[];
  readonly slots: SlotContents;
  readonly change: (change: Partial<Conditions>) => void;
  readonly follow: (href: string) => void;
  /** The items of a menu at rest. */
  readonly itemsOf: (menu: string) => readonly MenuItem[];
}

export const SheetSurroundings = createContext<SheetContext | null>(null);

export function useSheet(): SheetContext {
  const sheet = useContext(SheetSurroundings);
  if (!sheet) throw new Error('This part of the sheet needs the sheet around it.');
  return sheet;
}
