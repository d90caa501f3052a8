import type { SiteRecords } from 'fair-trail';
import type { SheetData } from 'fair-trail/internal/sheet';

/** A file as the workbench has it. */
export interface WorkbenchFile {
  /** As the command was given it; null if none was. */
  readonly name: string | null;
  /** Null where it is no JSON that could be edited. */
  readonly text: string | null;
  /** Why it cannot be saved; null if it can. */
  readonly locked: string | null;
  /** Whether saving makes it. */
  readonly isNew: boolean;
}

/** Everything that the page of the workbench begins with, and asks for again when a file has changed. */
export interface WorkbenchState {
  readonly site: WorkbenchFile;
  readonly tokens: WorkbenchFile;
  /** What the site file says, where that is a module that only a program can read. */
  readonly definition: unknown;
  /** Why there is no site; null if there is one, or if the page can find out itself. */
  readonly failure: string | null;
  readonly records: SiteRecords;
  readonly icons: string | null;
  readonly menus: SheetData['menus'];
  /** The stylesheets of specimens: what comes before the theme, and what comes after it. */
  readonly styles: readonly [before: string, after: string];
  /** Whether pictures can be written, and where to. */
  readonly pictures: string | null;
  /** Whether an app is running that shows what is not saved yet. */
  readonly hasApp: boolean;
}

/** The texts that the page has; null for a file that it does not edit. */
export interface WorkbenchTexts {
  readonly site: string | null;
  readonly tokens: string | null;
}

/** What the page asks to be saved. A file that stays as it is is null. */
export interface SaveRequest {
  readonly texts: WorkbenchTexts;
  /** The texts that the edits are based on: a file that is another one by now is not overwritten. */
  readonly bases: WorkbenchTexts;
}

/** What became of it. */
export type SaveOutcome =
  | { readonly outcome: 'saved' }
  /** A file has changed meanwhile. */
  | { readonly outcome: 'changed' }
  | { readonly outcome: 'refused'; readonly message: string };
