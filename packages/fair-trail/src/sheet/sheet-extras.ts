import { createContext, useContext } from 'react';
import type { BarOptions, BreadcrumbsOptions, SidebarOptions } from '../core/view/component-options.ts';
import type { SheetProps } from './sheet-props.ts';
import type { RoomEdit } from './room-edits.ts';

/** What a sheet is drawn from: one version of the files. */
export type SheetSource = Pick<
  SheetProps,
  'site' | 'records' | 'menus' | 'themes' | 'styles' | 'icon' | 'brand' | 'end'
>;

/** Another version of the files, beside which the sheet is shown. */
export interface ComparedSource {
  readonly source: SheetSource;
  /** What the two versions are called: "saved", "edited". */
  readonly names: readonly [before: string, after: string];
  /** What differs between the files, in sentences. */
  readonly changes: readonly string[];
}

/** What a page around a sheet adds to it: a workbench edits what the sheet shows. */
export interface SheetExtras {
  /** Options of the components on the whole page. Default: those of a usual page. */
  readonly options?: PageOptions;
  /** Says of the hand-over notes what was changed, as Markdown. */
  readonly changes?: string;
  /** Takes the edits of the room, in place of a patch. */
  readonly room?: RoomEditor;
  readonly compared?: ComparedSource;
  /** Whether the head of the sheet is small and its conditions are folded away: what is looked at is the page. Default: false. */
  readonly isCompact?: boolean;
  /** Whether the whole page is drawn in both color schemes, side by side. Default: false. */
  readonly hasSchemes?: boolean;
}

/** The options of the components on the whole page of a sheet. */
export interface PageOptions {
  readonly bar?: BarOptions;
  readonly sidebar?: SidebarOptions;
  readonly breadcrumbs?: BreadcrumbsOptions;
}

export interface RoomEditor {
  /** What is written for an entry, right or wrong. */
  readonly valueOf: (id: string, field: 'flex' | 'priority') => string;
  readonly change: (id: string, edit: RoomEdit) => void;
}

const nothing: SheetExtras = {};

export const SheetExtrasContext = createContext<SheetExtras>(nothing);

export function useSheetExtras(): SheetExtras {
  return useContext(SheetExtrasContext);
}
