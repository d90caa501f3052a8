import { forwardRef, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { type LayoutPart, layoutParts } from '../core/view/layout-view.ts';
import { PageLayoutPart } from '../parts/plain-parts.ts';
import { PrintedView } from './printed-view.tsx';
import { isFilled } from './slots.ts';
import { useLocationSource, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

export interface PageLayoutProps extends HTMLAttributes<HTMLElement> {
  /** Above all, such as a `Notice`. */
  readonly notice?: ReactNode;
  /** Such as a `Navbar`. */
  readonly bar?: ReactNode;
  /** Beside the content. */
  readonly sidebar?: ReactNode;
  /** Below all; at the foot of the window where the content is short. */
  readonly footer?: ReactNode;
  /** The content, which holds the `Stage`. */
  readonly children?: ReactNode;
}

/**
 * The layout that all pages share: notice, bar, sidebar, content and footer.
 *
 * @example
 * <Layout bar={<Navbar />} sidebar={<Sidebar menu="main" />}>
 *   <Stage pages={pages} />
 * </Layout>
 */
export const Layout = forwardRef<HTMLElement, PageLayoutProps>(function Layout(props, ref) {
  const { notice, bar, sidebar, footer, children, ...attributes } = props;
  const parts = useMemo<Readonly<Record<LayoutPart, ReactNode>>>(
    () => ({ notice, bar, sidebar, content: children, footer }),
    [notice, bar, sidebar, children, footer],
  );
  const filled = useMemo(() => layoutParts.filter((part) => isFilled(parts[part])), [parts]);
  const contents = useMemo(() => Object.fromEntries(layoutParts.map((part) => [part, () => parts[part]])), [parts]);
  const trail = useSurroundings();
  const location = useLocationSource();
  const { view, printer, rootRef } = usePart(PageLayoutPart, { trail, location, filled }, ref);
  return (
    view && <PrintedView view={view} printer={printer} slots={contents} attributes={attributes} elementRef={rootRef} />
  );
});
