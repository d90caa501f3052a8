import { forwardRef, type AnchorHTMLAttributes } from 'react';
import type { SkipTarget } from '../core/view/skip-link-view.ts';
import { SkipLinkPart } from '../parts/plain-parts.ts';
import { PrintedView } from './printed-view.tsx';
import { useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

export interface SkipLinkProps extends Omit<AnchorHTMLAttributes<HTMLElement>, 'children' | 'href' | 'target'> {
  /** The id of the element to skip to. Default: that of the `Stage`. */
  readonly targetId?: string;
  /** Further places to skip to, after the content: a search field, the footer. */
  readonly targets?: readonly SkipTarget[];
}

/**
 * A link past the navigation, or several. Put it first on the page. It is visible while it has focus.
 *
 * @example
 * <SkipLink />
 */
export const SkipLink = forwardRef<HTMLElement, SkipLinkProps>(function SkipLink(props, ref) {
  const { targetId, targets, ...attributes } = props;
  const trail = useSurroundings();
  const { view, printer, rootRef } = usePart(SkipLinkPart, { trail, targetId, targets }, ref);
  return view && <PrintedView view={view} printer={printer} attributes={attributes} elementRef={rootRef} />;
});
