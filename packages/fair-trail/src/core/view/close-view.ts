import type { Wording } from '../wording.ts';
import { element, type ViewElement } from './view.ts';

/** A button that closes something was activated. */
export interface CloseEvent {
  readonly type: 'close';
}

/**
 * A button with a cross, which says what it closes.
 *
 * @param label what that is called
 */
export function closeView<Event>(name: string, event: Event, label: string, wording: Wording): ViewElement<Event> {
  const sign = element('span', { class: 'ft-cross', 'aria-hidden': 'true' }, [], { key: 'sign' });
  const attributes = {
    class: `${name} ft-cross-button`,
    type: 'button',
    'aria-label': wording.closeItem.replace('{label}', () => label),
  };
  return element('button', attributes, [sign], { key: 'close', click: event });
}
