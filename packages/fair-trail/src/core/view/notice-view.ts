import type { Wording } from '../wording.ts';
import { element, slot, type ViewElement } from './view.ts';

export interface NoticeViewOptions {
  /** Tells it from other notices, in what is remembered. */
  readonly name: string;
  /** The name of its region. Default: what the wording says. */
  readonly label?: string;
  readonly wording: Wording;
}

/** The button of a notice was activated. */
export interface DismissEvent {
  readonly type: 'dismiss';
}

const dismissed: DismissEvent = { type: 'dismiss' };

/** A strip above the page that can be sent away for good. */
export function noticeView({ name, label, wording }: NoticeViewOptions): ViewElement<DismissEvent> {
  const content = element('div', { class: 'ft-notice-content' }, [slot('content')]);
  const sign = element('span', { class: 'ft-notice-sign', 'aria-hidden': 'true' }, [], { key: 'sign' });
  const word = element('span', { class: 'ft-visually-hidden' }, [wording.dismiss]);
  const button = element('button', { class: 'ft-notice-button', type: 'button' }, [sign, word], {
    click: dismissed,
  });
  const attributes = { class: 'ft-notice', 'aria-label': label ?? wording.notice, 'data-ft-notice': name };
  return element('section', attributes, [element('div', { class: 'ft-notice-row' }, [content, button])]);
}
