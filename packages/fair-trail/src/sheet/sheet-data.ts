import type { SiteRecords } from '../core/site/records.ts';
import type { ComputedNames } from './notes.ts';
import type { SheetProblem } from './problem-list.tsx';
import type { SheetMenus } from './sheet-context.ts';

/** What the command writes beside the page: a page that is opened from a disk can load scripts, and no other data. */
export interface SheetData {
  /** The site file as it was read; null if it holds no site. */
  readonly definition: unknown;
  readonly records: SiteRecords;
  readonly menus: Partial<SheetMenus>;
  readonly themes: readonly string[];
  /** The stylesheets of the specimens. */
  readonly styles: readonly string[];
  readonly problems: readonly SheetProblem[];
  readonly names: ComputedNames | null;
  /** An SVG sprite, whose symbols have the names of icons; null for none. */
  readonly icons: string | null;
  /** Another version of the files, to compare with; null for none. */
  readonly compared: ComparedData | null;
}

/** An older version of the files. */
export interface ComparedData {
  readonly definition: unknown;
  readonly themes: readonly string[];
  readonly styles: readonly string[];
  /** What the versions are called. */
  readonly names: readonly [before: string, after: string];
  readonly changes: readonly string[];
}
