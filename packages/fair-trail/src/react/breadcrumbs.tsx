import { forwardRef, type HTMLAttributes } from 'react';
import { breadcrumbs, breadcrumbView } from '../core/index.ts';
import { usePosition, useSurroundings } from './trail-context.ts';
import { useShared } from './use-shared.ts';
import { ViewRoot, type ViewSurroundings } from './view.tsx';

export type BreadcrumbsProps = Omit<HTMLAttributes<HTMLElement>, 'children'>;

const surroundings: ViewSurroundings = { slots: {}, send: () => undefined };

/** The way from the home page to the current one. Nothing on the home page itself. */
export const Breadcrumbs = forwardRef<HTMLElement, BreadcrumbsProps>(function Breadcrumbs(attributes, ref) {
  const { site, records, wording } = useSurroundings();
  const position = usePosition();
  const view = useShared(breadcrumbView(breadcrumbs(site, position, records), wording));
  return view && <ViewRoot view={view} surroundings={surroundings} attributes={attributes} elementRef={ref} />;
});
