import type { DismissEvent } from '../core/view/notice-view.ts';
import { attributeName, noticeAttributes } from '../core/view/option-attributes.ts';
import { NoticePart, type NoticeOptions } from '../parts/notice.ts';
import { defineOptions, type Settable } from './options.ts';
import { PartElement, type ElementSurroundings } from './part-element.ts';

/** The options of a `trail-notice`: as attributes, or as properties. */
interface TrailNoticeOptions {
  /** Tells it from other notices: one with another name is shown to those who sent this one away. */
  readonly name?: string;
  /** The name of its region. Default: "Notice", or what the wording says. */
  readonly label?: string;
}

/**
 * A strip above the page that the reader can dismiss. The choice is remembered if the browser allows storage. It needs
 * no site. What is written into it is its text.
 *
 * Event: `trail-dismiss`.
 *
 * @example
 * <trail-notice name="tower-closed">The tower is closed until Friday.</trail-notice>
 */
export class TrailNotice extends PartElement<TrailNoticeOptions, NoticeOptions, readonly string[], DismissEvent> {
  static readonly observedAttributes = Object.keys(noticeAttributes).map(attributeName);

  protected readonly table = noticeAttributes;
  protected readonly dataNames = [];

  protected override needsSite(): boolean {
    return false;
  }

  protected createPart(options: NoticeOptions): NoticePart {
    return new NoticePart(options);
  }

  protected optionsOf(
    { name = '', label }: Partial<TrailNoticeOptions>,
    { trail }: ElementSurroundings,
  ): NoticeOptions {
    return { trail, name, label, onDismiss: () => this.report('dismiss', {}) };
  }
}

/** The properties of a `trail-notice`. */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type -- Its properties are those of the options.
export interface TrailNotice extends Settable<TrailNoticeOptions> {}

defineOptions(TrailNotice, Object.keys(noticeAttributes));
