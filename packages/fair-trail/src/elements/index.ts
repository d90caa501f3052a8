import { defineElements } from './define-elements.ts';
import { TrailBar } from './trail-bar.ts';
import { TrailBreadcrumbs } from './trail-breadcrumbs.ts';
import { TrailFooter } from './trail-footer.ts';
import { TrailNotice } from './trail-notice.ts';
import { TrailSidebar } from './trail-sidebar.ts';
import { TrailSite } from './trail-site.ts';
import { TrailTabs } from './trail-tabs.ts';

defineElements({
  'trail-site': TrailSite,
  'trail-bar': TrailBar,
  'trail-sidebar': TrailSidebar,
  'trail-tabs': TrailTabs,
  'trail-breadcrumbs': TrailBreadcrumbs,
  'trail-footer': TrailFooter,
  'trail-notice': TrailNotice,
});

declare global {
  interface HTMLElementTagNameMap {
    'trail-site': TrailSite;
    'trail-bar': TrailBar;
    'trail-sidebar': TrailSidebar;
    'trail-tabs': TrailTabs;
    'trail-breadcrumbs': TrailBreadcrumbs;
    'trail-footer': TrailFooter;
    'trail-notice': TrailNotice;
  }
}

export { TrailBar, TrailBreadcrumbs, TrailFooter, TrailNotice, TrailSidebar, TrailSite, TrailTabs };
