export { pageHtml, type PageHtml, type PageHtmlOptions } from './page-html.ts';
