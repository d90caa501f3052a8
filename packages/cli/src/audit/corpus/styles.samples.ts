import type { SampleSite } from './site-twins.samples.ts';

/**
 * A sound site in one style of making navigation. Its script leaves `window.part`, by which a defect can be put into any
 * style: the elements of the menu, and what opens it.
 */
export interface SiteStyle {
  readonly name: string;
  /** What it has: a defect that needs something else is not put into it. */
  readonly has: ReadonlySet<StyleFeature>;
  readonly site: (defect: SiteDefect) => SampleSite;
}

export type StyleFeature =
  'toggle' | 'pages' | 'one-document' | 'escape' | 'list' | 'row' | 'light' | 'marks' | 'floating';

/** What a defect adds to a page. */
export interface SiteDefect {
  readonly style?: string;
  /** Runs after the script of the style. */
  readonly script?: string;
  /** Of one page, where pages differ. */
  readonly scriptOf?: (path: string) => string;
  readonly head?: string;
  readonly attributes?: string;
}

interface PageParts {
  readonly path: string;
  readonly body: string;
  readonly style: string;
  readonly script: string;
  readonly attributes?: string;
}

const pages = [
  ['/', 'Today'],
  ['/hides', 'Hides'],
  ['/tides', 'Tides'],
  ['/visits', 'Visits'],
] as const;

const base = `*, ::before { box-sizing: border-box } html { scroll-padding-top: 5rem }
  body { margin: 0; font: 1rem/1.5 system-ui, sans-serif; background: #fff; color: #1c1f1a } a, button, summary { color: #1f4a20 }
  a, button, summary, label { padding: 0.4rem 0.7rem; display: inline-block; font: inherit; line-height: 1.5 } main { padding: 1rem; max-width: 60ch } main a { padding: 0 }
  ul { list-style: none; margin: 0; padding: 0 } [aria-current="page"] { text-decoration: underline; text-decoration-thickness: 4px } :focus-visible { outline: 3px solid #1f4a20; outline-offset: -3px }`;

function contentOf(label: string, path: string): string {
  const text = `<p>${label}: four hides look over the marsh, and one over the sea.</p>`.repeat(30);
  return `<main id="content" tabindex="-1"><h1>${label}</h1>${text}<p>The causeway floods; see <a href="/${path === '/tides' ? '' : 'tides'}">when it is dry</a>.</p></main>`;
}

function pageOf({ path, body, style, script, attributes = '' }: PageParts, defect: SiteDefect): string {
  const label = pages.find(([one]) => one === path)?.[1] ?? 'Today';
  const head = `<meta charset="utf-8"><meta name="viewport" content="width=device-width, initial-scale=1">${defect.head ?? `<title>${label} · Marram Point</title>`}`;
  const scripts = `<script>${script}</script><script>${defect.script ?? ''}${defect.scriptOf?.(path) ?? ''}</script>`;
  return `<!doctype html><html ${defect.attributes ?? `lang="en"${attributes}`}><head>${head}<style>${base}${style}${defect.style ?? ''}</style></head><body>${body}${scripts}</body></html>`;
}

/** A site of several documents. */
function siteOf(make: (path: string, label: string) => Omit<PageParts, 'path'>): SiteStyle['site'] {
  return (defect) =>
    Object.fromEntries(pages.map(([path, label]) => [path, pageOf({ path, ...make(path, label) }, defect)]));
}

const linkTo = (here: string) => (path: string, label: string) =>
  `<a href="${path}"${path === here ? ' aria-current="page"' : ''}>${label}</a>`;
const linksOf = (here: string) => pages.map(([path, label]) => linkTo(here)(path, label));
const listOf = (here: string) =>
  `<ul>${linksOf(here)
    .map((link) => `<li>${link}</li>`)
    .join('')}</ul>`;
const skip = '<a class="skip" href="#content">Skip to content</a>';
const skipStyle = '.skip { position: absolute; top: -5rem } .skip:focus { top: 0; background: #fff; z-index: 9 }';

/** Reads the parts, and lets a defect hear when the menu is opened or closed. */
const parts = (
  root = 'document',
) => `const hearers = []; window.part = { root: ${root}, nav: ${root}.querySelector('nav, [role=navigation]'),
  links: [...${root}.querySelectorAll('nav a, [role=navigation] a')], toggle: ${root}.querySelector('.toggle'), panel: ${root}.querySelector('.panel'), hearers, isOpen: false };`;

/** A button that shows and hides a panel, and Escape, and a press beside it. */
const disclose = (
  show: string,
  hide: string,
  root = 'document',
) => `${parts(root)} part.set = (isOpen) => { part.isOpen = isOpen; if (isOpen) { ${show} } else { ${hide} }
    part.toggle.setAttribute('aria-expanded', String(isOpen)); for (const hear of hearers) hear(isOpen); };
  part.toggle.addEventListener('click', () => part.set(!part.isOpen));
  document.addEventListener('keydown', (event) => { if (event.key === 'Escape' && part.isOpen) { part.set(false); part.toggle.focus(); } });
  document.addEventListener('click', (event) => { if (part.isOpen && !event.composedPath().some((at) => at === part.panel || at === part.toggle || at === part.root.host)) part.set(false); });`;

const narrow = (rules: string) => `@media (max-width: 40rem) { ${rules} }`;
const button = '<button class="toggle" type="button" aria-expanded="false" aria-controls="panel">Menu</button>';
const features = (...names: readonly StyleFeature[]): ReadonlySet<StyleFeature> => new Set(names);

const classRow = `.toggle { display: none } nav ul { display: flex; flex-wrap: wrap }
  ${narrow('.toggle { display: inline-block } .panel:not(.open) { display: none } nav ul { display: block } header { position: relative } .panel { position: absolute; left: 0; top: 100%; background: #fff; border: 1px solid #555; min-width: 12rem; z-index: 2 }')}`;
const byClass = disclose("part.panel.classList.add('open');", "part.panel.classList.remove('open');");

/** Draws the page of the address; what the two one-page apps share. */
const app = (pathOf: string) => `const labels = ${JSON.stringify(Object.fromEntries(pages))};
  part.show = (isFirst) => { const path = ${pathOf}; const label = labels[path] ?? 'Today'; document.title = label + ' · Marram Point';
    const main = document.querySelector('main'); main.innerHTML = '<h1 tabindex="-1">' + label + '</h1>' + ('<p>' + label + ': four hides look over the marsh.</p>').repeat(30);
    for (const link of part.links) { if (link.pathname + link.hash === location.pathname + location.hash) link.setAttribute('aria-current', 'page'); else link.removeAttribute('aria-current'); }
    for (const hear of part.shown) hear(path); if (!isFirst) main.querySelector('h1').focus({ preventScroll: true }); };`;

export const siteStyles: readonly SiteStyle[] = [
  {
    name: 'a list that a class shows',
    has: features('toggle', 'pages', 'escape', 'list', 'row', 'light', 'marks', 'floating'),
    site: siteOf((path, label) => ({
      body: `${skip}<header>${button}<nav id="panel" class="panel" aria-label="Main">${listOf(path)}</nav></header>${contentOf(label, path)}`,
      style: skipStyle + classRow,
      script: byClass,
    })),
  },
  {
    name: 'bare divs with roles',
    has: features('toggle', 'pages', 'escape', 'light', 'marks'),
    site: siteOf((path, label) => ({
      body: `<div role="banner">${button}<div role="navigation" id="panel" class="panel" aria-label="Main" hidden><div>${linksOf(path).join('</div><div>')}</div></div></div>${contentOf(label, path)}`,
      style: '[role=navigation]:not([hidden]) { display: flex; flex-wrap: wrap }',
      script: disclose('part.panel.hidden = false;', 'part.panel.hidden = true;'),
    })),
  },
  {
    name: 'details',
    has: features('pages', 'list', 'light', 'marks'),
    site: siteOf((path, label) => ({
      body: `${skip}<nav aria-label="Main"><details class="panel"><summary>Menu</summary>${listOf(path)}</details></nav>${contentOf(label, path)}`,
      style: skipStyle,
      script: parts(),
    })),
  },
  {
    name: 'a popover',
    has: features('pages', 'list', 'light', 'marks'),
    site: siteOf((path, label) => ({
      body: `<header><button type="button" popovertarget="panel">Menu</button><nav id="panel" class="panel" popover aria-label="Main">${listOf(path)}</nav></header>${contentOf(label, path)}`,
      style: '',
      script: parts(),
    })),
  },
  ...(['open', 'closed'] as const).map((mode): SiteStyle => ({
    name: `a custom element with an ${mode} root`.replace('an closed', 'a closed'),
    has: features('toggle', 'pages', 'escape', 'list', 'marks'),
    site: siteOf((path, label) => ({
      body: `<header><site-menu></site-menu></header>${contentOf(label, path)}`,
      style: '',
      script: `customElements.define('site-menu', class extends HTMLElement { connectedCallback() { const root = this.attachShadow({ mode: '${mode}' });
          root.innerHTML = ${JSON.stringify(`<style>${base} nav[hidden] { display: none }</style>${button}<nav id="panel" class="panel" aria-label="Main" hidden>${listOf(path)}</nav>`)}; window.root = root; } });
          ${disclose('part.panel.hidden = false;', 'part.panel.hidden = true;', 'window.root')}`,
    })),
  })),
  {
    name: 'a box that is ticked, without a script',
    has: features('pages', 'list', 'light', 'marks'),
    site: siteOf((path, label) => ({
      body: `<header><input type="checkbox" id="open"><label for="open">Menu</label><nav class="panel" aria-label="Main">${listOf(path)}</nav></header>${contentOf(label, path)}`,
      style: '#open { width: 1.5rem; height: 1.5rem } nav { display: none } #open:checked ~ nav { display: block }',
      script: parts(),
    })),
  },
  {
    name: 'a table',
    has: features('pages', 'light', 'marks'),
    site: siteOf((path, label) => ({
      body: `<nav aria-label="Main"><table role="presentation"><tr><td>${linksOf(path).join('</td><td>')}</td></tr></table></nav>${contentOf(label, path)}`,
      style: narrow('td { display: block }'),
      script: parts(),
    })),
  },
  {
    name: 'from right to left',
    has: features('toggle', 'pages', 'escape', 'list', 'row', 'light', 'marks', 'floating'),
    site: siteOf((path, label) => ({
      attributes: ' dir="rtl"',
      body: `${skip}<header>${button}<nav id="panel" class="panel" aria-label="Main">${listOf(path)}</nav></header>${contentOf(label, path)}`,
      style: skipStyle + classRow.replace('left: 0', 'right: 0'),
      script: byClass,
    })),
  },
  {
    name: 'vertical writing beside the page',
    has: features('pages', 'list', 'light', 'marks'),
    site: siteOf((path, label) => ({
      body: `<nav aria-label="Main">${listOf(path)}</nav>${contentOf(label, path)}`,
      style: 'nav { writing-mode: vertical-rl; float: left; min-height: 20rem } main { margin-left: 9rem }',
      script: parts(),
    })),
  },
  {
    name: 'a modal dialog',
    has: features('pages', 'list', 'light', 'marks'),
    site: siteOf((path, label) => ({
      body: `<header><button class="toggle" type="button" aria-haspopup="dialog">Menu</button><dialog class="panel" aria-label="Menu"><button type="button" class="close">Close</button><nav aria-label="Main">${listOf(path)}</nav></dialog></header>${contentOf(label, path)}`,
      style: 'html:has(dialog[open]) { overflow: hidden }',
      script: `${parts()} part.toggle.onclick = () => part.panel.showModal(); document.querySelector('.close').onclick = () => part.panel.close();`,
    })),
  },
  {
    name: 'an app with history routes',
    has: features('toggle', 'one-document', 'escape', 'list', 'row', 'light', 'marks', 'floating'),
    site: siteOf(() => ({
      body: `<header>${button}<nav id="panel" class="panel" aria-label="Main">${listOf('')}</nav></header><main></main>`,
      style: classRow,
      script: `${byClass} part.shown = []; ${app('location.pathname')} document.addEventListener('click', (event) => { const link = event.composedPath().find((at) => at.localName === 'a'); if (!link || link.origin !== location.origin) return;
        event.preventDefault(); history.pushState(null, '', link.href); part.set(false); scrollTo(0, 0); part.show(); }); addEventListener('popstate', () => part.show()); part.show(true);`,
    })),
  },
  {
    name: 'an app with hash routes',
    has: features('one-document', 'list', 'row', 'light', 'marks'),
    site: (defect) => ({
      '/': pageOf(
        {
          path: '/',
          body: `<nav aria-label="Main"><ul>${pages.map(([path, label]) => `<li><a href="#${path}">${label}</a></li>`).join('')}</ul></nav><main></main>`,
          style: 'nav ul { display: flex; flex-wrap: wrap }',
          script: `${parts()} part.shown = []; ${app("location.hash.slice(1) || '/'")} addEventListener('hashchange', () => { scrollTo(0, 0); part.show(); }); part.show(true);`,
        },
        defect,
      ),
    }),
  },
];

/** Styles that are sound, and that no defect is put into. */
export const soundStyles: readonly (readonly [name: string, site: SampleSite])[] = [
  [
    'an image map',
    Object.fromEntries(
      pages.map(([path, label]) => [
        path,
        pageOf(
          {
            path,
            body: `<nav aria-label="Main"><img usemap="#site" width="400" height="60" alt="The pages" src="data:image/svg+xml,%3Csvg xmlns='http://www.w3.org/2000/svg' width='400' height='60'%3E%3Crect width='400' height='60' fill='%23dde'/%3E%3C/svg%3E"><map name="site">${pages.map(([to, name], index) => `<area shape="rect" coords="${index * 100},0,${index * 100 + 98},60" href="${to}" alt="${name}"${to === path ? ' aria-current="page"' : ''}>`).join('')}</map></nav>${contentOf(label, path)}`,
            style: 'img { max-width: none }',
            script: '',
          },
          {},
        ),
      ]),
    ),
  ],
];
