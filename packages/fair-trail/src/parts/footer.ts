import { footerView } from '../core/view/footer-view.ts';
import type { ActionEvent } from '../core/view/menu-view.ts';
import type { ViewElement } from '../core/view/view.ts';
import { checkIcons, checkNames, menuNameIn } from './name-checks.ts';
import { BasePart } from './navigation-part.ts';
import { menuNow, type MenuOptions } from './surroundings.ts';

/** The options of the navigation at the foot of a page. */
export interface FooterOptions extends MenuOptions {
  /** The menu of the site whose items it shows. Default: `footer`. */
  readonly menu?: string | undefined;
  /** The name of the navigation landmark. Default: what the wording says. */
  readonly label?: string | undefined;
  /** The level of the groups' titles. Default: 2. */
  readonly headingLevel?: 2 | 3 | 4 | undefined;
  /** Whether icons stand for the labels of items outside of groups. Default: false. */
  readonly iconsOnly?: boolean | undefined;
  /** The slots that the app fills. */
  readonly slots: { readonly icon: boolean; readonly form: boolean; readonly foot: boolean };
}

const usualMenu = 'footer';

/** The navigation at the foot of a page, with its titled groups. It has no state. */
export class FooterPart extends BasePart<FooterOptions, null, ActionEvent> {
  send = ({ action }: ActionEvent): void => this.options.trail.act(action);

  protected stateNow(): null {
    return null;
  }

  protected draw(options: FooterOptions): ViewElement<ActionEvent> {
    const { trail, menu = usualMenu, label, id, headingLevel = 2, iconsOnly = false, slots } = options;
    return footerView({
      items: menuNow(options, menu).items,
      label: label ?? trail.wording.footerNavigation,
      idPrefix: id,
      headingLevel,
      iconsOnly,
      slots,
      wording: trail.wording,
    });
  }

  protected override update(options: FooterOptions): void {
    const { trail, menu, icon } = options;
    checkNames('FooterNav', trail, () => menuNameIn(trail.site, menu, usualMenu));
    checkIcons('FooterNav', trail, icon, () => menuNow(options, menu ?? usualMenu).atRest);
  }
}
