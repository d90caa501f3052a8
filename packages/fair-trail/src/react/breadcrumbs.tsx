import { forwardRef, useId, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { breadcrumbsOptionNames, type BreadcrumbsOptions } from '../core/view/component-options.ts';
import { BreadcrumbsPart } from '../parts/breadcrumbs.ts';
import { PrintedView } from './printed-view.tsx';
import { splitProps } from './slots.ts';
import { usePosition, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

/**
 * The properties of `Breadcrumbs`.
 */
export interface BreadcrumbsProps extends BreadcrumbsOptions, Omit<HTMLAttributes<HTMLElement>, 'children'> {
  /** Stands between steps, hidden from assistive technology. Default: a stroke. */
  readonly separator?: ReactNode;
  /** Draws an icon by its name in the site file. Its drawing should be hidden from assistive technology. */
  readonly icon?: (name: string) => ReactNode;
}

/**
 * The breadcrumbs from the home page to the current page. Renders nothing on the home page.
 *
 * @example
 * <Breadcrumbs keepLast={2} />
 */
export const Breadcrumbs = forwardRef<HTMLElement, BreadcrumbsProps>(function Breadcrumbs(props, ref) {
  const [options, { separator, icon, ...attributes }] = splitProps(props, breadcrumbsOptionNames);
  const trail = useSurroundings();
  const position = usePosition();
  const id = useId();
  const slots = { icon: icon !== undefined, separator: separator !== undefined };
  const given = { ...options, trail, position, id, slots };
  const { part, view, printer, rootRef } = usePart(BreadcrumbsPart, given, ref, icon);
  const contents = useMemo(() => ({ separator: () => separator }), [separator]);
  if (!view) return null;
  const data = part.structuredData(given);
  return (
    <>
      <PrintedView view={view} printer={printer} slots={contents} attributes={attributes} elementRef={rootRef} />
      {data !== null && <script type="application/ld+json" dangerouslySetInnerHTML={{ __html: data }} />}
    </>
  );
});
