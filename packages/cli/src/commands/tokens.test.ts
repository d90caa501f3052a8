import { existsSync, readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { place, run, write } from '../test-command.samples.ts';

test('the library’s own themes pass, each pair in each scheme', () => {
  const { status, stdout } = run('tokens', '--format', 'json');
  const { pairs, failed } = JSON.parse(stdout) as { pairs: { theme: string; scheme: string }[]; failed: number };
  expect([status, failed]).toEqual([0, 0]);
  expect(new Set(pairs.map(({ theme, scheme }) => `${theme} ${scheme}`))).toEqual(
    new Set(['default light', 'default dark', 'estuary light', 'estuary dark']),
  );
});

test('a pair that is too low is named with the nearest color that passes, and nothing is written', () => {
  const file = write('pale.json', '{ "color": { "default": { "light": { "ink-soft": { "$value": "#aaaaaa" } } } } }');
  const out = place('pale.css');
  const { status, stdout } = run('tokens', file, '--out', out);
  expect(status).toBe(1);
  const [, nearest] = /low +\d+\.\d\d of 4\.5 +ink-soft #aaaaaa.*make ink-soft (#[\da-f]{6})/u.exec(stdout) ?? [];
  expect(nearest).toBeDefined();
  expect(existsSync(out)).toBe(false);
  const fixed = write('fixed.json', readFileSync(file, 'utf8').replace('#aaaaaa', nearest ?? ''));
  expect(run('tokens', fixed).status).toBe(0);
});

test('a theme from brand colors is written as tokens, and those as a stylesheet', () => {
  const [json, css] = [place('brand.json'), place('brand.css')];
  expect(run('tokens', '--from', '#1d5f6b', '#8a5a00', '--out', json).status).toBe(0);
  expect(run('tokens', json, '--out', css).status).toBe(0);
  const text = readFileSync(css, 'utf8');
  expect(text).toMatch(
    /@layer fair-trail\.tokens \{\n {2}:root,\n {2}\[data-ft-scheme='light'\] \{\n {4}--ft-paper: #/u,
  );
  expect(run('tokens', json, '--out', css).stderr).toContain('[file-exists]');
  expect(readFileSync(css, 'utf8')).toBe(text);
});

test.each([
  [['tokens', '--from', 'teal'], '"teal" is no color. Write it as "#rrggbb", in quotes. [bad-color]'],
  [['tokens', '--from', '#123', '#456', '#789'], '[bad-usage]'],
  [['tokens', 'x.json', '--from', '#123'], '[bad-usage]'],
  [['tokens', 'nowhere.json'], '[file-missing]'],
  [['tokens', '--out', 'theme.txt'], '[unknown-format]'],
])('%j ends with 2 and says why', (args, expected) => {
  const { status, stderr } = run(...args);
  expect([status, stderr]).toEqual([2, expect.stringContaining(expected)]);
});

test('what is wrong in a tokens file is reported with its place', () => {
  const file = write('wrong.json', '{\n  "color": { "default": { "light": {\n    "inc": { "$value": "#000" } } } }\n}');
  const { status, stderr } = run('tokens', file);
  expect(status).toBe(2);
  expect(stderr).toMatch(
    /wrong\.json:3:12 \/color\/default\/light\/inc: No color is called "inc"\. There are: paper,/u,
  );
});
