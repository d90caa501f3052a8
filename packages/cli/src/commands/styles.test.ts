import { readFileSync } from 'node:fs';
import { expect, test } from 'vitest';
import { observatory, place, run, write } from '../test-command.samples.ts';

const shares = JSON.stringify({
  name: 'Marram',
  entries: [
    { id: 'today', label: 'Today', href: '/', flex: '2 1 8em' },
    { id: 'hides', label: 'Hides', href: '/hides', flex: ' 2  1 8EM ' },
    { id: 'visit', label: 'Visit', href: '/visit', flex: '1 1 auto' },
  ],
  menus: { main: ['today', 'hides', 'visit'] },
});

test('each share that is asked for is one rule, however it is written', () => {
  const out = place('shares.css');
  const { status, stderr } = run('styles', write('shares.site.json', shares), '--out', out);
  expect([status, stderr]).toEqual([0, `Wrote ${out}.\n`]);
  const rules = [...readFileSync(out, 'utf8').matchAll(/data-ft-flex='([^']*)'/gu)].map(([, value]) => value);
  expect(rules).toEqual(['2 1 8em', 'auto']);
  const again = run('styles', write('shares.site.json', shares), '--out', out);
  expect([again.status, again.stderr]).toEqual([2, expect.stringContaining('[file-exists]')]);
});

test('a site that shares nothing out says so, and a wrong file is reported as everywhere', () => {
  expect(run('styles', observatory)).toMatchObject({
    status: 0,
    stdout: '/* No entry of the site asks for a share of the row. */\n',
  });
  expect(run('styles', place('none.site.json'))).toMatchObject({ status: 2, stdout: '' });
});
