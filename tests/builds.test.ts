import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { describe, expect, test } from 'vitest';
import { root } from './code-blocks.ts';

/** The package as it is resolved under each condition: `development`, `production`, and by Node without one. */

const library = path.join(root, 'packages/fair-trail');
const { exports: entries } = JSON.parse(readFileSync(path.join(library, 'package.json'), 'utf8')) as {
  readonly exports: Readonly<Record<string, string | Readonly<Record<string, string>>>>;
};
const inTwoBuilds = Object.entries(entries).flatMap(([name, target]) =>
  typeof target === 'object' && 'production' in target ? [name.replace('.', 'fair-trail')] : [],
);

/** Runs a module in a Node of its own, with the packages found as an app finds them. */
function evaluate(code: string, ...conditions: string[]): unknown {
  const options = [...conditions.map((condition) => `--conditions=${condition}`), '--input-type=module'];
  const { stdout, stderr } = spawnSync(process.execPath, [...options, '--eval', code], { cwd: root, encoding: 'utf8' });
  expect(stderr).toBe('');
  return JSON.parse(stdout);
}

const misuse = `
  import { checkSite, defineSite, hrefTo, loadSite } from 'fair-trail';
  import { createElement } from 'react';
  import { renderToString } from 'react-dom/server';
  import { Navbar, Trail } from 'fair-trail/react';
  const definition = { name: 'x', entries: [{ id: 'hides', label: 'Hides', href: 'javascript:1', labell: 'x' }] };
  const site = defineSite({ name: 'x', entries: [{ id: 'hides', label: 'Hides', href: '/hides' }], menus: { main: ['hides'] } });
  const thrown = (work) => { try { work(); return null; } catch (error) { return error.message; } };
  console.log(JSON.stringify({
    problems: checkSite(definition).problems,
    define: thrown(() => defineSite(definition)),
    href: thrown(() => hrefTo(site, 'hide')),
    load: thrown(() => loadSite({ compiled: 0 })),
    trail: thrown(() => renderToString(createElement(Navbar))),
    html: renderToString(createElement(Trail, { site, url: '/hides' }, createElement(Navbar))),
  }));
`;

interface Misuse {
  readonly problems: readonly Readonly<Record<'code' | 'pointer' | 'message' | 'remedy' | 'page', string>>[];
  readonly define: string;
  readonly href: string;
  readonly load: string;
  readonly trail: string;
  readonly html: string;
}

describe('a problem', () => {
  const development = evaluate(misuse, 'development') as Misuse;
  const production = evaluate(misuse, 'production') as Misuse;

  test('is the same in both builds; production says its code and page instead of its text', () => {
    const places = ({ problems }: Misuse) => problems.map(({ code, pointer, page }) => [code, pointer, page]);
    expect(places(production)).toEqual(places(development));
    expect(places(production).map(([code]) => code)).toEqual(['unknown-field', 'unsafe-href']);
    for (const { code, page, remedy } of production.problems) {
      expect(page).toBe(`https://fair-trail.example/docs/problems#${code}`);
      expect(remedy).toContain(page);
    }
    expect(development.problems[0]?.remedy).toBe('Did you mean "label"?');
    expect(production.define).toContain('/entries/0/href: The problem "unsafe-href".');
    expect(production.define).not.toContain('javascript');
  });

  test.each([
    ['href', 'address-not-written', 'Did you mean "hides"?'],
    ['load', 'compiled-version', 'Compile it again'],
    ['trail', 'trail-missing', '<Trail site={site}>'],
  ] as const)('of an app (%s) is thrown in both, with its code', (name, code, text) => {
    expect(development[name]).toContain(text);
    expect(development[name]).toContain(`[${code}]`);
    expect(production[name]).toBe(`[${code}] See https://fair-trail.example/docs/problems#${code}`);
  });

  test('leaves what is drawn as it is', () => {
    expect(production.html).toBe(development.html);
    expect(production.html).toContain('aria-current="page"');
  });
});

test.each(inTwoBuilds)('%s exports the same names in both builds', (name) => {
  const code = `import * as entry from '${name}'; console.log(JSON.stringify(Object.keys(entry)))`;
  const names = evaluate(code, 'development');
  expect(evaluate(code, 'production')).toEqual(names);
  expect((names as string[]).length).toBeGreaterThan(0);
});

test('Node without a condition takes the texts, which no visitor downloads there', () => {
  expect((evaluate(misuse) as Misuse).href).toContain('Did you mean "hides"?');
});

test('the production build holds no suggestion, and every module of the other build', () => {
  const modules = (folder: string) =>
    readdirSync(path.join(library, 'dist', folder), { recursive: true, encoding: 'utf8' })
      .filter((file) => /^(?:core|dom|react|sheet)\/.*\.js$/u.test(file) && !file.endsWith('.production.js'))
      .toSorted();
  expect(modules('production')).toEqual(modules(''));
  const texts = modules('production').map((file) => readFileSync(path.join(library, 'dist/production', file), 'utf8'));
  expect(texts.filter((text) => text.includes('Did you mean'))).toEqual([]);
});
