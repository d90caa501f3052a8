import { forwardRef, useId, useMemo, type HTMLAttributes, type ReactNode } from 'react';
import { footerView } from '../core/view/footer-view.ts';
import { menuNameIn, useIconChecks, useNameChecks } from './name-checks.ts';
import { iconSlot } from './slots.ts';
import { useSurroundings } from './trail-context.ts';
import { useMenu } from './use-menu.ts';
import { useShared } from './use-shared.ts';
import { ViewRoot } from './view.tsx';

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

const send = () => undefined;

/**
 * The navigation at the foot of the page, with its titled groups.
 *
 * @example
 * <FooterNav menu="footer" />
 */
export const FooterNav = forwardRef<HTMLElement, FooterNavProps>(function FooterNav(props, ref) {
  const { menu = 'footer', label, headingLevel = 2, iconsOnly = false, icon, form, foot, ...attributes } = props;
  const { site, wording } = useSurroundings();
  const { items, marks } = useMenu(menu);
  useNameChecks('FooterNav', () => menuNameIn(site, props.menu, menu));
  useIconChecks('FooterNav', items, icon);
  const idPrefix = useId();
  const view = useShared(
    footerView({
      items,
      label: label ?? wording.footerNavigation,
      idPrefix,
      headingLevel,
      iconsOnly,
      slots: { icon: icon !== undefined, form: Boolean(form), foot: Boolean(foot) },
      wording,
    }),
  );
  const slots = useMemo(
    () => ({
      form: () => form,
      foot: () => foot,
      icon: iconSlot(icon),
    }),
    [form, foot, icon],
  );
  return <ViewRoot view={view} surroundings={{ slots, send, marks }} attributes={attributes} elementRef={ref} />;
});
