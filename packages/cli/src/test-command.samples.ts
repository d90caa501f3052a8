import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { afterAll } from 'vitest';
import { runWarm, withoutColors, type Outcome } from './warm-command.samples.ts';

export const root = path.resolve(import.meta.dirname, '../../..');
export const observatory = 'examples/observatory/observatory.site.json';

export { withoutColors, type Outcome } from './warm-command.samples.ts';

export const command = path.join(root, 'packages/cli/bin/fair-trail.js');

/** Runs the built command at the top of the clone, without colors. */
export function run(...args: string[]): Outcome {
  return runIn(root, ...args);
}

/**
 * Whether a command may run in a process that has already run others: it ends by itself and keeps no state. A site file that
 * is a module does not qualify, because a process reads a module only once.
 */
const isWarm = (cwd: string, [name = '', ...rest]: readonly string[]) =>
  /^(?:add|check|compile|convert|show|styles|tokens|types)$/u.test(name) &&
  !rest.includes('--watch') &&
  !rest.some((word) => /\.[cm]?[jt]s$/u.test(word) && existsSync(path.resolve(cwd, word)));

/** Runs the built command in a folder. */
export function runIn(cwd: string, ...args: string[]): Outcome {
  if (isWarm(cwd, args)) return runWarm(cwd, args);
  const { status, stdout, stderr } = spawnSync(process.execPath, [command, ...args], {
    cwd,
    encoding: 'utf8',
    env: { ...process.env, ...withoutColors },
  });
  return { status, stdout, stderr };
}

const folder = mkdtempSync(path.join(tmpdir(), 'fair-trail-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** The path of a name in a folder that lasts as long as the tests of one file. */
export function place(name: string): string {
  return path.join(folder, name);
}

/** Writes a file there, with the folders it lies in; answers its path. */
export function write(name: string, content: string | Uint8Array): string {
  const file = place(name);
  mkdirSync(path.dirname(file), { recursive: true });
  writeFileSync(file, content);
  return file;
}

/**
 * Replaces a text in every page of a copy of the example, which has a file for each that was rendered.
 *
 * @param copy the folder
 */
export function editPages(copy: string, text: string, replacement: string): void {
  for (const file of readdirSync(copy, { recursive: true, encoding: 'utf8' })) {
    if (!file.endsWith('.html')) continue;
    const page = path.join(copy, file);
    const html = readFileSync(page, 'utf8');
    // Such a page only leads on to another.
    if (html.includes('This page has moved')) continue;
    if (!html.includes(text)) throw new Error(`${file} does not hold ${text}.`);
    writeFileSync(
      page,
      html.replace(text, () => replacement),
    );
  }
}
