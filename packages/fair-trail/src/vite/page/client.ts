/**
 * Runs in the page while an app is developed: shows what is wrong with the site file or the tokens over the page, until it is fixed.
 * It takes no focus, and nothing of the page is touched, so that open panels, forms and scroll positions stay.
 */

/** As the server sends them. */
interface ShownProblem {
  readonly file: string;
  readonly line: number;
  readonly column: number;
  readonly code: string;
  readonly message: string;
  readonly remedy: string;
}

const styleText = `
:host { all: initial; }
[popover] {
  position: fixed; inset: auto 0 0 0; inline-size: auto; block-size: auto; margin: 0; padding: 0; border: 0;
  max-block-size: min(70vh, 34rem); overflow: auto; z-index: 2147483647;
  color: #23251f; background: #fdfbf4; border-block-start: 4px solid #993b14;
  box-shadow: 0 -1px 0 #807a64, 0 -1rem 2rem rgb(27 29 24 / 25%);
  font: 1rem/1.5 ui-sans-serif, system-ui, sans-serif; color-scheme: light;
}
[popover]:focus-visible, button:focus-visible { outline: 3px solid #993b14; outline-offset: -3px; }
section { max-inline-size: 64rem; margin: 0 auto; padding: 1rem 1.5rem 1.5rem; }
header { display: flex; gap: 1rem; align-items: start; justify-content: space-between; }
h2 { margin: 0; font-size: 1.25rem; line-height: 1.3; border-inline-start: 0.4rem solid #993b14; padding-inline-start: 0.75rem; }
p { margin: 0.25rem 0 0; }
header p { padding-inline-start: 1.15rem; color: #55584c; }
ol { margin: 1rem 0 0; padding: 0; list-style: none; }
li { padding: 0.75rem 0; border-block-start: 1px solid #cfc7b0; overflow-wrap: anywhere; }
code { font: 0.9375rem/1.5 ui-monospace, monospace; color: #7a2c0c; }
small { font-size: 0.875rem; color: #55584c; }
button {
  font: inherit; min-block-size: 2.75rem; padding: 0 1rem; color: #23251f; background: #e9e3d1;
  border: 1px solid #807a64; cursor: pointer;
}
button:hover { background: #dbd3bb; }
@media (forced-colors: active) { [popover] { border: 2px solid CanvasText; } }
`;

const hot = import.meta.hot;
const host = document.createElement('fair-trail-problems');
const root = host.attachShadow({ mode: 'open' });
// A constructed stylesheet: a strict Content-Security-Policy allows no style in the markup.
const styles = new CSSStyleSheet();
styles.replaceSync(styleText);
root.adoptedStyleSheets = [styles];

const panel = element('div', { popover: 'manual', tabindex: '0', 'aria-labelledby': 'title' });
panel.role = 'region';
// There before it has anything to say: only then do screen readers say what comes into it.
const alert = element('section', { role: 'alert' });
panel.append(alert);
root.append(panel);
panel.addEventListener('keydown', (event) => {
  if (event.key === 'Escape') hide();
});

let shown = '';

function show(problems: readonly ShownProblem[]): void {
  const text = JSON.stringify(problems);
  if (text === shown) return;
  shown = text;
  if (problems.length === 0) {
    alert.replaceChildren();
    hide();
    host.remove();
    return;
  }
  const title = problems.length === 1 ? 'A problem to fix' : `${problems.length} problems to fix`;
  const close = element('button', { type: 'button' }, 'Hide');
  close.addEventListener('click', hide);
  const heading = element('div', {});
  heading.append(
    element('h2', { id: 'title' }, title),
    element(
      'p',
      {},
      'The page shows the last version without these problems. This message closes when they are fixed.',
    ),
  );
  const header = element('header', {});
  header.append(heading, close);
  const list = element('ol', {});
  for (const { file, line, column, code, message, remedy } of problems) {
    const item = element('li', {});
    const place = element('p', {});
    place.append(element('code', {}, `${file}:${line}:${column}`), ' ', element('small', {}, code));
    const words = element('p', {});
    words.append(element('strong', {}, message), ` ${remedy}`);
    item.append(place, words);
    list.append(item);
  }
  document.body.append(host);
  // In the top layer, above whatever the app pins there.
  panel.showPopover();
  alert.replaceChildren(header, list);
}

function hide(): void {
  if (host.isConnected && panel.matches(':popover-open')) panel.hidePopover();
}

function element(name: string, attributes: Readonly<Record<string, string>>, text = ''): HTMLElement {
  const made = document.createElement(name);
  for (const [attribute, value] of Object.entries(attributes)) made.setAttribute(attribute, value);
  made.textContent = text;
  return made;
}

/** Gives the elements that load the site file by its address what is in it now. */
async function loadAgain(address: string): Promise<void> {
  const sites = [...document.querySelectorAll<HTMLElement & { site: unknown }>('trail-site[src]')].filter((site) => {
    return new URL(site.getAttribute('src') ?? '', document.baseURI).pathname === address;
  });
  if (sites.length === 0) return;
  const definition: unknown = await (await fetch(address, { cache: 'no-store' })).json();
  for (const site of sites) site.site = definition;
}

if (hot) {
  hot.on('fair-trail:problems', show);
  hot.on('fair-trail:site', ({ address }: { readonly address: string }) => void loadAgain(address));
  // The stages of the app say which pages they have.
  Object.assign(globalThis, {
    [Symbol.for('fair-trail.stage')]: (report: object) => hot.send('fair-trail:stage', report),
  });
  hot.send('fair-trail:ready');
}
