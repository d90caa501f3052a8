/**
 * One file for a `script` element, with what a page needs whose links are written as lists: the bar and the breadcrumbs. A
 * page with a site file uses the other one.
 */
import { defineElements } from './define-elements.ts';
import { TrailBar } from './trail-bar.ts';
import { TrailBreadcrumbs } from './trail-breadcrumbs.ts';

defineElements({ 'trail-bar': TrailBar, 'trail-breadcrumbs': TrailBreadcrumbs });
