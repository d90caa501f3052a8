// One file that runs in any page, from the console or from a bookmark: it reads the page by the rules, and draws frames
// round what it has found. Run again, it reads the page in its new state.
import { audit } from '../audit.ts';
import { elementAt } from '../../reading/element-at.ts';
import type { AuditFinding } from '../rule.ts';
import { inPageStyle } from './in-page-style.ts';

const name = 'fair-trail-findings';

document.querySelector(name)?.remove();
const { findings: found, notChecked } = audit(document);
const levels = ['error', 'warning', 'advice'];
const findings = found.toSorted((one, other) => levels.indexOf(one.severity) - levels.indexOf(other.severity));
const host = document.createElement(name);
// Closed, so that neither the page nor its stylesheets get in.
const root = host.attachShadow({ mode: 'closed' });
const sheet = new CSSStyleSheet();
sheet.replaceSync(inPageStyle);
root.adoptedStyleSheets = [sheet];
const frames = element('div', { class: 'frames', 'aria-hidden': 'true' });
const panel = element('section', { class: 'panel', 'aria-labelledby': 'heading', tabindex: '-1' });
root.append(frames, panel);

const places = findings.map((finding) => ({ finding, target: elementAt(finding.selector), frame: frameOf(finding) }));

/** Text is put in as text: what comes from the page is no markup here. */
function element(
  tag: string,
  attributes: Readonly<Record<string, string>>,
  ...content: (Node | string)[]
): HTMLElement {
  const made = document.createElement(tag);
  for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
  made.append(...content);
  return made;
}

function frameOf({ severity }: AuditFinding): HTMLElement {
  const frame = element('div', { class: `frame ${severity}` });
  // What weighs most is drawn last, over the others.
  frames.prepend(frame);
  return frame;
}

/** Puts each frame round its element, wherever that is now. */
function place(): void {
  for (const { target, frame } of places) {
    const box = target?.getBoundingClientRect();
    const isThere = box !== undefined && (box.width > 0 || box.height > 0) && target !== document.documentElement;
    frame.hidden = !isThere;
    if (!isThere) continue;
    frame.style.translate = `${box.left - 3}px ${box.top - 3}px`;
    frame.style.width = `${box.width + 6}px`;
    frame.style.height = `${box.height + 6}px`;
  }
}

function itemOf({ finding, target, frame }: (typeof places)[number]): HTMLElement {
  const { code, certainty, message, remedy, severity, html } = finding;
  const show = element('button', { type: 'button', class: 'show' }, message);
  show.addEventListener('click', () => {
    for (const other of places) other.frame.classList.toggle('chosen', other.frame === frame);
    target?.scrollIntoView({ block: 'center', behavior: 'instant' });
    place();
  });
  const level = certainty === 'likely' ? `${severity}, likely` : severity;
  const rule = element('p', { class: `rule ${severity}` }, `${level} · ${code}`);
  return element(
    'li',
    {},
    rule,
    show,
    element('p', { class: 'remedy' }, remedy),
    element('code', {}, html.slice(0, 160)),
  );
}

function draw(): void {
  const count = findings.length;
  const heading = element(
    'h2',
    { id: 'heading' },
    count === 0 ? 'Nothing was found' : `${count} ${count === 1 ? 'finding' : 'findings'}`,
  );
  const close = element('button', { type: 'button', class: 'close', 'aria-label': 'Close the findings' }, '×');
  close.addEventListener('click', end);
  const note = 'Only what can be read in the page as it is now. The command also uses the page.';
  const reasons = notChecked.map(({ rule, reason }) => element('li', {}, `${rule}: ${reason}`));
  panel.replaceChildren(
    element('header', {}, heading, close),
    element('p', { class: 'note' }, note),
    element('ol', {}, ...places.map(itemOf)),
    ...(reasons.length > 0 ? [element('h3', {}, 'Not checked'), element('ul', {}, ...reasons)] : []),
  );
}

const watching = new AbortController();

function end(): void {
  watching.abort();
  host.remove();
}

draw();
document.documentElement.append(host);
place();
for (const type of ['scroll', 'resize']) addEventListener(type, place, { capture: true, signal: watching.signal });
document.addEventListener(
  'keydown',
  (event) => {
    if (event.key === 'Escape') end();
  },
  { signal: watching.signal },
);
panel.focus({ preventScroll: true });
