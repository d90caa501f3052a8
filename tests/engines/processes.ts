import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';

/** Programs that end with the tests, and the folders that they write into. */
const running = new Set<ChildProcess>();
process.on('exit', () => {
  for (const child of running) child.kill('SIGKILL');
});

/** A program that runs beside the tests. */
export interface Running {
  /** The first line it says that matches. */
  readonly said: (pattern: RegExp) => Promise<RegExpExecArray>;
  readonly end: () => Promise<void>;
}

export function start(command: string, words: readonly string[], env: NodeJS.ProcessEnv = {}): Running {
  const child = spawn(command, words, { stdio: ['ignore', 'pipe', 'pipe'], env: { ...process.env, ...env } });
  running.add(child);
  let text = '';
  const waiting = new Set<() => void>();
  const hear = (part: Buffer) => {
    text += part.toString();
    for (const look of waiting) look();
  };
  child.stdout.on('data', hear);
  child.stderr.on('data', hear);
  const ended = new Promise<void>((resolve) => {
    child.on('exit', () => {
      running.delete(child);
      for (const look of waiting) look();
      resolve();
    });
  });
  return {
    said: (pattern) =>
      new Promise((resolve, reject) => {
        const look = () => {
          const found = pattern.exec(text);
          if (found) resolve(found);
          else if (child.exitCode !== null) reject(new Error(`${command} ended before it was ready:\n${text}`));
          else return;
          waiting.delete(look);
        };
        waiting.add(look);
        child.on('error', reject);
        look();
      }),
    end: async () => {
      child.kill();
      const late = setTimeout(() => child.kill('SIGKILL'), 3000);
      await ended;
      clearTimeout(late);
    },
  };
}

/** A folder of its own for a browser, and how it is taken away. */
export function freshFolder(name: string): { readonly folder: string; readonly remove: () => void } {
  const folder = mkdtempSync(path.join(tmpdir(), `${name}-`));
  return { folder, remove: () => rmSync(folder, { recursive: true, force: true, maxRetries: 5 }) };
}
