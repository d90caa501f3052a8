import { spawn, spawnSync } from 'node:child_process';
import { statSync } from 'node:fs';
import path from 'node:path';
import { fileURLToPath } from 'node:url';

/** The top of the clone. Every script works from here, wherever it was called. */
export const root = fileURLToPath(new URL('..', import.meta.url));

/** Runs a program with this terminal; ends the script with its exit code where it fails. */
export function run(command, args, options = {}) {
  const result = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options });
  if (result.error) {
    console.error(`${command} could not be started: ${result.error.message}`);
    process.exit(1);
  }
  if (result.status !== 0) process.exit(result.status ?? 1);
}

/** Runs a command that a package of this workspace brings, by the path of its script. */
export function runTool(script, args, options) {
  run(process.execPath, toolArguments(script, args), options);
}

function toolArguments(script, args) {
  return [path.join(root, 'node_modules', script), ...args];
}

/** What such a command prints; ends the script with its exit code where it fails. */
export function readTool(script, args, env = {}) {
  const options = { cwd: root, encoding: 'utf8', env: { ...process.env, NODE_ENV: 'test', ...env } };
  const { status, stdout, stderr } = spawnSync(process.execPath, toolArguments(script, args), options);
  if (status === 0) return stdout;
  console.error(stderr);
  process.exit(status ?? 1);
}

/**
 * Runs several lists of such commands side by side, each list in its order, since most of them use one processor. Where one
 * fails, the others are ended, and the script with its exit code.
 */
export async function runSideBySide(...lists) {
  const running = new Set();
  const end = (status) => {
    for (const child of running) child.kill();
    process.exit(status);
  };
  const runOne = ([script, ...args]) =>
    new Promise((resolve) => {
      const child = spawn(process.execPath, toolArguments(script, args), { cwd: root, stdio: 'inherit' });
      running.add(child);
      child.on('exit', (status) => {
        running.delete(child);
        if (status !== 0) end(status ?? 1);
        resolve();
      });
    });
  await Promise.all(
    lists.map(async (commands) => {
      for (const command of commands) await runOne(command);
    }),
  );
}

/**
 * Runs tests, and answers whether they passed. The builds before them leave `NODE_ENV` at production in this process; the tests
 * are for React's development build, which reports what it objects to.
 */
export function tryTests(args, env = {}) {
  const options = { cwd: root, stdio: 'inherit', env: { ...process.env, NODE_ENV: 'test', ...env } };
  const how = args.includes('--watch') ? [] : ['run'];
  return spawnSync(process.execPath, toolArguments('vitest/vitest.mjs', [...how, ...args]), options).status === 0;
}

/** Runs tests; ends the script where they fail. */
export function runTests(args, env) {
  if (!tryTests(args, env)) process.exit(1);
}

/** Installs the packages that the lock file names, unless an installation has been made since it last changed. */
export function installPackages() {
  const changed = (file) => statSync(path.join(root, file), { throwIfNoEntry: false })?.mtimeMs ?? 0;
  if (changed('node_modules/.package-lock.json') >= changed('package-lock.json')) return;
  console.log('Installing packages…');
  run('npm', ['ci', '--no-audit', '--no-fund'], { shell: process.platform === 'win32' });
}
