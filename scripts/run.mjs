import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { createHash } from 'node:crypto';
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
  run(process.execPath, [path.join(root, 'node_modules', script), ...args], options);
}

/** Installs the packages that the lock file names, unless exactly these are installed already. */
export function installPackages() {
  const lock = readFileSync(path.join(root, 'package-lock.json'));
  const wanted = createHash('sha256').update(lock).digest('hex');
  const stamp = path.join(root, 'node_modules', '.fair-trail-lock');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  console.log('Installing packages…');
  run('npm', ['ci', '--no-audit', '--no-fund'], { shell: process.platform === 'win32' });
  writeFileSync(stamp, wanted);
}
