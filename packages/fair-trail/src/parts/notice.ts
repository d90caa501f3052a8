import { nextDismissal } from '../core/interaction/dismissal.ts';
import { noticeView, type DismissEvent } from '../core/view/notice-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import { focusAfter } from '../dom/focus.ts';
import { memoryHere } from './memory-here.ts';
import { BasePart } from './navigation-part.ts';
import type { Surroundings } from './surroundings.ts';

/** The options of a notice. */
export interface NoticeOptions {
  readonly trail: Surroundings;
  /** Tells it from other notices, in what is remembered. */
  readonly name: string;
  /** The name of its region. Default: what the wording says. */
  readonly label?: string | undefined;
  readonly onDismiss?: (() => void) | undefined;
}

/** The names of the notices that were sent away. */
type NoticeState = readonly string[];

const noNames: NoticeState = [];

/** A strip above the page that the reader can send away for good. */
export class NoticePart extends BasePart<NoticeOptions, NoticeState, DismissEvent> {
  send = (): void => {
    const { name, onDismiss } = this.options;
    const dismissed = this.read().includes(name);
    const focusWithin = this.root?.matches(':focus-within') === true;
    for (const { type } of nextDismissal({ dismissed }, { type: 'dismiss', focusWithin }).effects) {
      if (type === 'remember') memoryHere('dismissed')?.replace((other) => other === name, [name]);
      else if (this.root) focusAfter(this.root);
    }
    onDismiss?.();
  };

  protected stateNow(): NoticeState {
    return memoryHere('dismissed')?.names() ?? noNames;
  }

  protected override stateRendered(): NoticeState {
    return noNames;
  }

  protected draw({ trail, name, label }: NoticeOptions, dismissed: NoticeState): ViewElement<DismissEvent> | null {
    if (dismissed.includes(name)) return null;
    return noticeView({ name, ...(label !== undefined && { label }), wording: trail.wording });
  }

  protected override follow(): (() => void) | undefined {
    const memory = memoryHere('dismissed');
    const look = () => {
      if (this.stateNow() !== this.read()) this.changed();
    };
    const stop = memory?.subscribe(look);
    look();
    return stop;
  }
}
