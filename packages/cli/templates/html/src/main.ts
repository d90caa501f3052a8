import 'fair-trail/elements';
import site from './marram-point.site.json';

for (const element of document.querySelectorAll('trail-site')) element.site = site;
