import type { SiteDefinition } from 'fair-trail';
import type { ExampleOptions, LiveExampleDescription } from '../examples/examples.ts';

/** The components that a preview can show. */
export type PreviewComponent = LiveExampleDescription['component'] | 'all';

/** What a page tells the frame of a preview to show. */
export interface PreviewMessage {
  readonly type: 'preview';
  readonly component: PreviewComponent;
  readonly options: ExampleOptions;
  readonly definition: SiteDefinition;
  readonly url: string;
  readonly scheme: string;
  readonly direction: string;
}

/** What the frame tells its page: it has started, or its visitor has gone to another address. */
export type PreviewAnswer = { readonly type: 'preview-ready' } | { readonly type: 'preview-at'; readonly url: string };
