import { bindSite, FooterNav, Navbar, Sidebar, Stage, Trail, TrailLink } from 'fair-trail/vue';
import site from '../../observatory/observatory.site.json';

export { site };

/** The components, knowing the names of the site. */
export const navigation = bindSite(site, { FooterNav, Navbar, Sidebar, Stage, Trail, TrailLink });
