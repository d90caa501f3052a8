import type { SheetInput } from '../../sheet/sheet-data.ts';
import type { WorkbenchTexts } from './workbench-state.ts';

/** What a workbench is made of. */
export interface WorkbenchInput extends SheetInput {
  /** The folder for pictures; default: none are taken. */
  readonly pictures?: string;
  readonly browser?: string;
  /** Shows texts that are not saved in a running app; null for what is saved. Default: there is no app. */
  readonly showDraft?: (texts: WorkbenchTexts | null) => void;
}
