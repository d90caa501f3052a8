import { forwardRef, useEffect, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { type LayoutPart, layoutParts, layoutView } from '../core/view/layout-view.ts';
import { warning } from '../core/warnings.ts';
import { logWarning } from '../dom/log-warning.ts';
import { isDevelopment } from '../core/development.ts';
import { useLocationSource, useSurroundings } from './trail-context.ts';
import { useRoot } from './use-root.ts';
import { useShared } from './use-shared.ts';
import { ViewRoot } from './view.tsx';

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

const send = () => undefined;

const mainContent = 'main, [role="main"]';

/**
 * What all pages share: notice, bar, sidebar, content and footer, each where it belongs.
 *
 * @example
 * <Layout bar={<Navbar />} sidebar={<Sidebar menu="main" />}>
 *   <Stage pages={pages} />
 * </Layout>
 */
export const Layout = forwardRef<HTMLElement, PageLayoutProps>(function Layout(props, ref) {
  const { notice, bar, sidebar, footer, children, ...attributes } = props;
  const root = useRoot(ref);
  const parts = useMemo<Readonly<Record<LayoutPart, ReactNode>>>(
    () => ({ notice, bar, sidebar, content: children, footer }),
    [notice, bar, sidebar, children, footer],
  );
  const filled = layoutParts.filter((part) => ![undefined, null, false].includes(parts[part] as undefined));
  const slots = useMemo(() => Object.fromEntries(layoutParts.map((part) => [part, () => parts[part]])), [parts]);
  const place = useLocationSource();
  const { warn } = useSurroundings();
  useEffect(() => {
    if (!isDevelopment || !root.current) return;
    // A layout of a stage stands within the main content itself.
    if (root.current.closest(mainContent) ?? root.current.querySelector(mainContent)) return;
    (warn ?? logWarning)(warning('layout-without-content', place.read().url));
  }, [root, place, warn]);
  const view = useShared(layoutView(filled));
  return <ViewRoot view={view} surroundings={{ slots, send }} attributes={attributes} elementRef={root} />;
});
