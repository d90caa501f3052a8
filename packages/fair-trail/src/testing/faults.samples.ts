import { replaced } from './promises.samples.ts';
import { subjectBody, subjectScript, subjectStyle } from './subject.samples.ts';

/** The parts of the subject with one thing wrong in them. */
export interface Broken {
  readonly body: string;
  readonly script: string;
  readonly style: string;
}

/** Something that people get wrong in navigation that they write by hand. */
export interface HandFault {
  readonly name: string;
  /** The part of the menu's contract that sees it; null if only a walk does, or the title and breadcrumbs are asked for. */
  readonly part: string | null;
  readonly broken: Broken;
}

const whole: Broken = { body: subjectBody, script: subjectScript, style: subjectStyle };

function inBody(from: string, to: string): Broken {
  return { ...whole, body: replaced(subjectBody, from, to) };
}

function inScript(from: string, to: string): Broken {
  return { ...whole, script: replaced(subjectScript, from, to) };
}

export const handFaults: readonly HandFault[] = [
  {
    name: 'the mark stands on the first page for ever',
    part: 'marks',
    broken: inScript('if (path === location.pathname) link', "if (path === '/') link"),
  },
  {
    name: 'the mark is a class, and no aria-current',
    part: 'marks',
    broken: inScript("link.setAttribute('aria-current', 'page')", "link.classList.add('active')"),
  },
  {
    name: 'the last mark is not taken away',
    part: 'marks',
    broken: inScript("link.removeAttribute('aria-current')", 'void 0'),
  },
  {
    name: 'the section that holds the page is not marked',
    part: 'marks',
    broken: inScript("link.setAttribute('aria-current', 'true')", "link.removeAttribute('aria-current')"),
  },
  {
    name: 'marks are set when the page is loaded, and not when it changes',
    part: 'marks',
    broken: inScript(
      'draw(true);\n  };\n  const onKey',
      'document.title = pages[location.pathname][0];\n  };\n  const onKey',
    ),
  },
  {
    name: 'aria-expanded never changes',
    part: 'panels',
    broken: inScript("button.setAttribute('aria-expanded', String(open));", ''),
  },
  {
    name: 'a button does nothing',
    part: 'panels',
    broken: inScript("if (button) setOpen(button, button.getAttribute('aria-expanded') !== 'true');", ''),
  },
  {
    name: 'a placeholder was shipped',
    part: 'names',
    broken: inBody('<li><a href="/tides">Tides</a></li>', '<li><a href="#">Tides</a></li>'),
  },
  {
    name: 'two links lead to one page',
    part: 'names',
    broken: inBody('<li><a href="/visit">Visit</a></li>', '<li><a href="/tides">Visit</a></li>'),
  },
  {
    name: 'a link is a text that can be clicked',
    part: 'names',
    broken: inBody('<li><a href="/visit">Visit</a></li>', '<li><span data-href="/visit">Visit</span></li>'),
  },
  {
    name: 'a link has no address',
    part: 'names',
    broken: inBody('<li><a href="/visit">Visit</a></li>', '<li><a role="link" tabindex="0">Visit</a></li>'),
  },
  {
    name: 'a button is a box that can be clicked',
    part: 'panels',
    broken: inBody(
      '<button type="button" aria-expanded="false" aria-controls="hides" aria-label="More in Hides">▾</button>',
      '<div aria-controls="hides">▾</div>',
    ),
  },
  { name: 'Escape is not heard', part: 'panels', broken: inScript("if (event.key !== 'Escape') return;", 'return;') },
  {
    name: 'focus is lost at Escape',
    part: 'panels',
    broken: inScript('open.focus();', 'document.activeElement.blur();'),
  },
  {
    name: 'what is in a closed panel is only transparent, and takes focus',
    part: 'panels',
    broken: {
      ...whole,
      script: replaced(
        subjectScript,
        'panelOf(button).hidden = !open',
        "panelOf(button).hidden = false, panelOf(button).style.opacity = open ? '1' : '0'",
      ),
      body: replaced(subjectBody, '<ul id="hides" hidden>', '<ul id="hides" style="opacity: 0">'),
    },
  },
  { name: 'the landmark has no name', part: 'names', broken: inBody(' aria-label="Main"', '') },
  {
    name: 'an item is an icon alone',
    part: 'names',
    broken: inBody('>Tides</a></li>', '><svg width="16" height="16" aria-hidden="true"></svg></a></li>'),
  },
  {
    name: 'the narrow menu stays open over the page that was chosen',
    part: 'narrow',
    broken: inScript('for (const other of buttons) setOpen(other, false);', ''),
  },
  {
    name: 'the narrow menu lacks a page',
    part: 'narrow',
    broken: {
      ...whole,
      style: `${subjectStyle} @media (max-width: 600px) { #pages > ul > li:last-child { display: none } }`,
    },
  },
  {
    name: 'the bar is wider than a narrow window',
    part: 'narrow',
    broken: { ...whole, style: `${subjectStyle} header { min-width: 500px }` },
  },
  {
    name: 'Back changes the address and not the marks',
    part: 'history',
    broken: inScript('const onBack = () => draw(true);', 'const onBack = () => {};'),
  },
  {
    name: 'a link does nothing',
    part: 'mouse',
    broken: inScript(
      "history.pushState(null, '', link.href);",
      "if (link.textContent === 'Visit') return;\n    history.pushState(null, '', link.href);",
    ),
  },
  {
    name: 'Tab does not lead out of the menu',
    part: 'keyboard',
    broken: inScript(
      "if (event.key !== 'Escape') return;",
      "if (event.key === 'Tab' && event.target.textContent === 'Visit') { event.preventDefault(); document.querySelector('#pages a').focus(); }\n    if (event.key !== 'Escape') return;",
    ),
  },
  {
    name: 'Tab does not stop at a link',
    part: 'keyboard',
    broken: inBody('<li><a href="/tides">Tides</a></li>', '<li><a href="/tides" tabindex="-1">Tides</a></li>'),
  },
  {
    name: 'something lies over the menu',
    part: 'mouse',
    broken: { ...whole, style: `${subjectStyle} main { position: fixed; inset: 0; opacity: 0.9; background: white }` },
  },
  {
    name: 'the title stays the first one',
    part: null,
    broken: inScript("document.title = title + ' · Marram';", "document.title ||= title + ' · Marram';"),
  },
  {
    name: 'breadcrumbs leave out a step',
    part: null,
    broken: inScript('for (const path of [...above, null])', 'for (const path of [...above.slice(-1), null])'),
  },
];
