import type { Wording } from '../wording.ts';
import { element, type ViewElement } from './view.ts';

/** A button with a cross, that says what it is. */
export function closeView(name: string, event: unknown, wording: Wording): ViewElement {
  const sign = element('span', { class: 'ft-cross', 'aria-hidden': 'true' }, [], { key: 'sign' });
  const attributes = { class: `${name} ft-cross-button`, type: 'button', 'aria-label': wording.close };
  return element('button', attributes, [sign], { key: 'close', on: { click: event } });
}
