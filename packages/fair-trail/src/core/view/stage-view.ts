import { mainId } from './skip-link-view.ts';
import { element, slot, type ViewElement } from './view.ts';

export interface StageViewOptions {
  /** Whether the stage stands within another one, which is the main content already. Default: false. */
  readonly nested?: boolean;
  /** Whether the visitor has been waiting for its content. Default: false. */
  readonly busy?: boolean;
}

/** Where the current page is shown. It takes focus from a script, so that the skip link and a page change reach it. */
export function stageView({ nested = false, busy = false }: StageViewOptions = {}): ViewElement {
  const attributes = {
    class: 'ft-stage',
    id: nested ? null : mainId,
    tabindex: '-1',
    'aria-busy': busy ? 'true' : null,
  };
  return element(nested ? 'div' : 'main', attributes, [slot('page')]);
}
