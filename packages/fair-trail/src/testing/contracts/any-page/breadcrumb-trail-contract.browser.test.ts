import { afterEach, describe, expect, test } from 'vitest';
import { defineSite } from '../../../core/site/define.ts';
import { promisesOf, replaced } from '../../promises.samples.ts';
import { clearSubject, showSubject } from '../../subject-in-page.samples.ts';
import { subjectBody, subjectScript, subjectSite, subjectStyle } from '../../subject.samples.ts';
import { breadcrumbPages, breadcrumbTrailContract } from '../../vitest.ts';
import { breadcrumbTrailParts } from './breadcrumb-trail-contract.ts';

afterEach(clearSubject);

const pages = breadcrumbPages(defineSite(subjectSite), ['/', '/hides', '/hides/reedbed', '/tides']);

test('the ways to pages of a site', () => {
  expect(pages.map(({ breadcrumbs }) => breadcrumbs)).toEqual([
    [],
    ['Today', 'Hides'],
    ['Today', 'Hides', 'Reedbed Hide'],
    ['Today', 'Tides'],
  ]);
});

describe('breadcrumbs of anyone’s making', () => {
  breadcrumbTrailContract({ open: showSubject, pages });
});

describe('breadcrumbs without the page itself, and with it as a link', () => {
  const short = replaced(
    subjectScript,
    'crumbs.append(step);\n    }',
    'if (path !== null) crumbs.append(step);\n    }',
  );
  breadcrumbTrailContract({
    open: (address) => showSubject(address, { script: short }),
    pages: [
      { address: '/', breadcrumbs: [] },
      { address: '/hides', breadcrumbs: ['Today'] },
      { address: '/hides/reedbed', breadcrumbs: ['Today', 'Hides'] },
    ],
  });
  const linked = replaced(
    subjectScript,
    'step.textContent = title;\n        step.setAttribute',
    "const own = document.createElement('a');\n own.href = location.pathname; own.textContent = title; step.append(own);\n own.setAttribute",
  );
  breadcrumbTrailContract({ open: (address) => showSubject(address, { script: linked }), pages });
});

describe('breadcrumbs whose step above the page is behind a button where room is short', () => {
  const script = replaced(
    subjectScript,
    'if (focus) document',
    `if (crumbs.children.length > 2) {
      const fold = document.createElement('li');
      fold.className = 'fold';
      fold.innerHTML = '<button type="button" aria-expanded="false" aria-label="More steps">…</button>';
      fold.firstChild.addEventListener('click', () => { crumbs.className = 'whole'; fold.remove(); });
      crumbs.firstChild.after(fold);
    }
    if (focus) document`,
  );
  const style = `${subjectStyle}
    @media (max-width: 600px) { #crumbs:not(.whole) li:nth-child(3) { display: none } }
    @media (min-width: 601px) { .fold { display: none } }`;
  breadcrumbTrailContract({ open: (address) => showSubject(address, { script, style }), pages });
});

test('a step may have no page of its own, where that is said', async () => {
  const script = replaced(subjectScript, 'link.href = path', "if (path !== '/hides') link.href = path");
  const subject = { open: (address: string) => showSubject(address, { script }, { patience: 300 }), pages };
  expect((await promisesOf(breadcrumbTrailParts, { ...subject, withoutPage: ['Hides'] })).broken).toEqual([]);
  expect((await promisesOf(breadcrumbTrailParts, subject)).broken).toEqual([
    'every step above the page is a link to another page',
  ]);
});

describe('the contract of breadcrumbs sees a fault that was put in', () => {
  const inScript = (from: string, to: string) => ({ script: replaced(subjectScript, from, to) });
  const inBody = (from: string, to: string) => ({ body: replaced(subjectBody, from, to) });
  const narrowStyle = (rule: string) => ({ style: `header { display: none } #crumbs { ${rule} }` });
  test.each<[string, string, { readonly body?: string; readonly script?: string; readonly style?: string }]>([
    ['a second landmark of its name', 'names', inBody('aria-label="Footer"', 'aria-label="Breadcrumbs"')],
    ['a step between is missing', 'steps', inScript('["Reedbed Hide",["/","/hides"]]', '["Reedbed Hide",["/"]]')],
    [
      'they stand still',
      'steps',
      inScript('crumbs.replaceChildren()', "if (crumbs.matches('.drawn')) return; crumbs.className = 'drawn'"),
    ],
    ['steps are texts', 'steps', inScript('link.href = path', 'void 0')],
    ['all steps lead home', 'steps', inScript('link.href = path', "link.href = '/'")],
    [
      'a step leads to another page',
      'steps',
      inScript('link.href = path', "link.href = path === '/hides' ? '/tides' : path"),
    ],
    [
      'every step is marked',
      'current',
      inScript('link.href = path', "link.href = path; link.setAttribute('aria-current', 'page')"),
    ],
    [
      'steps are out of the order of keys',
      'keyboard',
      inScript('link.href = path', 'link.href = path; link.tabIndex = -1'),
    ],
    ['a row that neither wraps nor scrolls', 'narrow', narrowStyle('display: flex; width: 600px')],
    ['none on a narrow window', 'narrow', narrowStyle('} @media (max-width: 600px) { #crumbs { display: none }')],
    [
      'none on a narrow window, for a finger',
      'touch',
      narrowStyle('} @media (max-width: 600px) { #crumbs { display: none }'),
    ],
    ['a row as wide as its text at first', 'large text', narrowStyle('width: 60rem')],
  ])('%s', async (_, part, broken) => {
    const parts = breadcrumbTrailParts.filter(({ name }) => name === part);
    const open = (address: string) => showSubject(address, broken, { patience: 300 });
    expect((await promisesOf(parts, { open, pages })).broken).not.toEqual([]);
  });

  test('a link to the page itself that is not marked', async () => {
    const script = replaced(
      subjectScript,
      "step.textContent = title;\n        step.setAttribute('aria-current', 'page')",
      "const own = document.createElement('a');\n own.href = location.pathname; own.textContent = title; step.append(own)",
    );
    const parts = breadcrumbTrailParts.filter(({ name }) => name === 'current');
    const open = (address: string) => showSubject(address, { script }, { patience: 300 });
    expect((await promisesOf(parts, { open, pages })).broken).toEqual(['a link to the page itself says so']);
  });

  test('and keeps no promise for want of something to ask it of', async () => {
    const open = (address: string) => showSubject(address, { body: '', script: '' }, { patience: 50 });
    expect((await promisesOf(breadcrumbTrailParts, { open, pages })).kept).toEqual([]);
    expect(() => breadcrumbTrailContract({ open, pages: pages.slice(0, 1) })).toThrow(/two breadcrumbs or more/u);
  });
});
