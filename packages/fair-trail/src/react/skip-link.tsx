import { forwardRef, type AnchorHTMLAttributes } from 'react';
import { skipLinkView } from '../core/index.ts';
import { useSurroundings } from './trail-context.ts';
import { ViewRoot, type ViewSurroundings } from './view.tsx';

export interface SkipLinkProps extends Omit<AnchorHTMLAttributes<HTMLElement>, 'children' | 'href' | 'target'> {
  /** The id of the element to skip to. Default: that of the `Stage`. */
  readonly targetId?: string;
}

const surroundings: ViewSurroundings = { slots: {}, send: () => undefined };

/** A link past the navigation. Put it first on the page; it is seen when it has focus. */
export const SkipLink = forwardRef<HTMLElement, SkipLinkProps>(function SkipLink({ targetId, ...attributes }, ref) {
  const { wording } = useSurroundings();
  const view = skipLinkView(wording, targetId);
  return <ViewRoot view={view} surroundings={surroundings} attributes={attributes} elementRef={ref} />;
});
