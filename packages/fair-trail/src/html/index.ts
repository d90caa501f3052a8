export {
  pageHtml,
  type BarHtmlOptions,
  type BreadcrumbsHtmlOptions,
  type FooterHtmlOptions,
  type NoticeHtmlOptions,
  type PageHtml,
  type PageHtmlOptions,
  type SidebarHtmlOptions,
  type TabLinksHtmlOptions,
  type TabsHtmlOptions,
} from './page-html.ts';
