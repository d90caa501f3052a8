import { mainId } from './skip-link-view.ts';
import { element, slot, type ViewElement } from './view.ts';

/** Where the current page is shown. It takes focus from a script, so that the skip link and a page change reach it. */
export function stageView(): ViewElement {
  return element('main', { class: 'ft-stage', id: mainId, tabindex: '-1' }, [slot('page')]);
}
