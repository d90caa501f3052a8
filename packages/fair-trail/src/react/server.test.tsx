import { renderToString } from 'react-dom/server';
import { expect, test } from 'vitest';
import { defineSite } from '../core/site/define.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { Navbar } from './navbar.tsx';
import { SkipLink } from './skip-link.tsx';
import { Stage } from './stage.tsx';
import { Trail, type TrailProps } from './trail.tsx';
import { compileSite } from '../core/site/compile.ts';
import { marram } from '../core/site/site.samples.ts';

const site = defineSite(marram);

function html(url: string, given: TrailProps['site'] = site): string {
  return renderToString(
    <Trail site={given} url={url}>
      <SkipLink />
      <Navbar />
      <Breadcrumbs />
      <Stage pages={{}} />
    </Trail>,
  );
}

test('a server prints every link, the mark and the breadcrumbs of an address', () => {
  const text = html('/hides/lantern-room/?x');
  expect(text).toMatch(/<a class="ft-link" href="\/hides" aria-current="true">/u);
  expect(text.match(/aria-current/gu)?.length).toBe(2);
  expect(text).toMatch(/<span class="ft-breadcrumb-text" aria-current="page"><span [^>]*>Lantern Room<\/span>/u);
  expect(text).toContain('aria-expanded="false"');
});

test('of a compiled site it prints the same', () => {
  const compiled = JSON.parse(JSON.stringify(compileSite(site))) as TrailProps['site'];
  expect(html('/hides/lantern-room/?x', compiled)).toBe(html('/hides/lantern-room/?x'));
});

test('it prints no inline style, script or handler, which a strict policy would refuse', () => {
  expect(html('/')).not.toMatch(/\sstyle=|<script|\son\w+=/u);
});

test('without a window and without an address it says what is missing', () => {
  expect(() => renderToString(<Trail site={site} />)).toThrow(/needs the property "url"/u);
});
