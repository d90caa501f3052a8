import type { ErrorCode } from './errors.ts';

/** What each error says. These texts are for developers: a production build has `error-texts.production.ts` in their place. */
const texts: Readonly<Record<ErrorCode, string>> = {
  'address-not-written': 'The address cannot be written.',
  'compiled-version':
    'This is not a site that this version of Fair Trail compiled. Compile it again: fair-trail compile <site file> --out <module>.',
  'compiled-broken':
    'This compiled site is damaged: a field is missing, has a value of another type, or names an entry that is not there. Compile it again: fair-trail compile <site file> --out <module>.',
  'site-expected':
    'This is not a site. Give what defineSite or loadSite returns, or what a site file exports when the Vite plugin imports it.',
  'origin-missing': 'Absolute addresses are needed here: give the site an "origin".',
  'url-missing': 'Trail needs the property "url" if there is no window: give the address to render.',
  'trail-missing': 'This component needs a Trail around it: <Trail site={site}>…</Trail>.',
  'tabs-missing': 'This component needs Tabs around it: <Tabs tabs={tabs} label="…">…</Tabs>.',
  'navigation-missing': 'This browser has no Navigation API: use "browserHistory" or "windowHistory".',
};

/** @param detail says more of this one; default: what the code says of all */
export function errorText(code: ErrorCode, detail: () => string = () => texts[code]): string {
  return `${detail()} [${code}]`;
}
