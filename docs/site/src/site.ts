import { bindSite, Breadcrumbs, FooterNav, Navbar, Sidebar, Stage, Trail, TrailLink } from 'fair-trail/react';
import site from '../documentation.site.json';

export { site };

/** The components, knowing the names of the site. */
export const navigation = bindSite(site, { Breadcrumbs, FooterNav, Navbar, Sidebar, Stage, Trail, TrailLink });
