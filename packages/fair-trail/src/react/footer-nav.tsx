import { forwardRef, useId, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { FooterPart } from '../parts/footer.ts';
import { PrintedView } from './printed-view.tsx';
import { usePosition, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

export interface FooterNavProps extends Omit<HTMLAttributes<HTMLElement>, 'children'> {
  /** The menu of the site file whose items it shows; groups get titles. Default: `footer`. */
  readonly menu?: string;
  /** The name of the navigation landmark. Default: "Footer", or what the trail's wording says. */
  readonly label?: string;
  /** The level of the groups' titles. Default: 2. */
  readonly headingLevel?: 2 | 3 | 4;
  /** Whether icons stand for the labels of items outside of groups. Default: false. */
  readonly iconsOnly?: boolean;
  /** Draws an icon by its name in the site file. Its drawing should be hidden from assistive technology. */
  readonly icon?: (name: string) => ReactNode;
  /** Stands beside the groups: a search field, a subscription. */
  readonly form?: ReactNode;
  /** Stands below it all: the year, small print. */
  readonly foot?: ReactNode;
}

/**
 * The navigation at the foot of the page, with its titled groups.
 *
 * @example
 * <FooterNav menu="footer" />
 */
export const FooterNav = forwardRef<HTMLElement, FooterNavProps>(function FooterNav(props, ref) {
  const { menu, label, headingLevel, iconsOnly, icon, form, foot, ...attributes } = props;
  const trail = useSurroundings();
  const position = usePosition();
  const id = useId();
  const slots = { icon: icon !== undefined, form: Boolean(form), foot: Boolean(foot) };
  const options = { menu, label, headingLevel, iconsOnly, trail, position, id, icon, slots };
  const { view, printer, rootRef } = usePart(FooterPart, options, ref, icon);
  const contents = useMemo(() => ({ form: () => form, foot: () => foot }), [form, foot]);
  return (
    view && <PrintedView view={view} printer={printer} slots={contents} attributes={attributes} elementRef={rootRef} />
  );
});
