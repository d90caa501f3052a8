import { defineSite } from 'fair-trail';
import { bindSite, FooterNav, Navbar, Sidebar, Stage, Trail, TrailLink } from 'fair-trail/vue';
import definition from '../../observatory/observatory.site.json';

/** The base path is where the app was built to be served, which the site file need not know. */
export const site = defineSite(definition, { base: import.meta.env.BASE_URL });

/** The components, knowing the menus of the site. */
export const navigation = bindSite(site, { FooterNav, Navbar, Sidebar, Stage, Trail, TrailLink });
