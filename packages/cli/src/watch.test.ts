import { spawn } from 'node:child_process';
import { readFileSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { afterEach, expect, test } from 'vitest';
import { command, observatory, place, root } from './test-command.samples.ts';

const ends: (() => void)[] = [];
afterEach(() => {
  for (const end of ends.splice(0)) end();
});

/** The command while it runs, and what it has written. */
function start(...args: string[]): { readonly output: () => string } {
  let output = '';
  const child = spawn(process.execPath, [command, ...args], { cwd: root });
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk: Buffer) => (output += chunk.toString()));
  ends.push(() => child.kill());
  return { output: () => output };
}

const poll = (output: () => string) => expect.poll(output, { timeout: 20_000 });

test('check looks again at a file that is changed, replaced, broken, taken away and put back', async () => {
  const text = readFileSync(observatory, 'utf8');
  const file = place('watched.site.json');
  writeFileSync(file, text);
  const { output } = start('check', file, '--watch');
  await poll(output).toContain('Watching');
  writeFileSync(file, text.replace('"href": "/tides"', '"href": "tides"'));
  await poll(output).toContain('unsafe-href');
  // As editors do that never leave half of a file.
  writeFileSync(`${file}.new`, text.slice(0, 400));
  renameSync(`${file}.new`, file);
  await poll(output).toContain('[json-syntax]');
  rmSync(file);
  await poll(output).toContain('[file-missing]');
  writeFileSync(file, text);
  await poll(() => output().split('[file-missing]')[1] ?? '').toContain('Watching');
});

test('tokens writes the stylesheet again', async () => {
  const own = readFileSync(path.join(root, 'packages/fair-trail/tokens.json'), 'utf8');
  const file = place('watched.tokens.json');
  const out = place('watched.css');
  writeFileSync(file, own);
  const { output } = start('tokens', file, '--out', out, '--watch');
  await poll(output).toContain('Watching');
  expect(readFileSync(out, 'utf8')).not.toContain('--ft-gap: 0.5rem');
  writeFileSync(
    file,
    own.replace(/("gap": \{[^}]*"value": )[\d.]+/u, (_, before: string) => `${before}0.5`),
  );
  await expect.poll(() => readFileSync(out, 'utf8'), { timeout: 20_000 }).toContain('--ft-gap: 0.5rem');
});
