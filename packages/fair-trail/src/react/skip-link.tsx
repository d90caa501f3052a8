import { forwardRef, type AnchorHTMLAttributes } from 'react';
import { skipLinksView, skipLinkView, type SkipTarget } from '../core/view/skip-link-view.ts';
import { useSurroundings } from './trail-context.ts';
import { ViewRoot, type ViewSurroundings } from './view.tsx';

export interface SkipLinkProps extends Omit<AnchorHTMLAttributes<HTMLElement>, 'children' | 'href' | 'target'> {
  /** The id of the element to skip to. Default: that of the `Stage`. */
  readonly targetId?: string;
  /** Further places to skip to, after the content: a search field, the footer. */
  readonly targets?: readonly SkipTarget[];
}

const surroundings: ViewSurroundings = { slots: {}, send: () => undefined };

/**
 * A link past the navigation, or several. Put it first on the page; each is seen when it has focus.
 *
 * @example
 * <SkipLink />
 */
export const SkipLink = forwardRef<HTMLElement, SkipLinkProps>(function SkipLink(props, ref) {
  const { targetId, targets, ...attributes } = props;
  const { wording } = useSurroundings();
  const view = targets ? skipLinksView(targets, wording) : skipLinkView(wording, targetId);
  return <ViewRoot view={view} surroundings={surroundings} attributes={attributes} elementRef={ref} />;
});
