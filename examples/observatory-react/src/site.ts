import { defineSite, type SiteDefinition } from 'fair-trail';
import definition from '../../observatory/observatory.site.json';

/** The base path is where the app was built to be served, which the site file need not know. */
export const site = defineSite(definition as SiteDefinition, { base: import.meta.env.BASE_URL });
