import { createHash } from 'node:crypto';
import { existsSync, mkdirSync, readdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { root } from './run.mjs';

/** Each build: the files and folders that it reads, and those that show that its result exists. */
const builds = {
  packages: {
    of: ['packages', 'scripts', 'package-lock.json', 'tsconfig.json', 'tsconfig.base.json'],
    into: ['packages/fair-trail/dist/bar.js', 'packages/cli/dist/sheet-page'],
  },
  examples: {
    of: ['packages', 'scripts', 'package-lock.json', 'examples'],
    into: ['.build/observatory', '.build/observatory-vue', '.build/plain', '.build/printed', '.build/development'],
  },
  documentation: {
    of: [
      'packages',
      'scripts',
      'package-lock.json',
      'examples',
      'docs',
      'README.md',
      'CHANGELOG.md',
      'CONTRIBUTING.md',
    ],
    into: ['.build/documentation'],
  },
  served: {
    of: ['packages', 'scripts', 'package-lock.json', 'examples'],
    into: ['.build/served'],
  },
};

/** Folders that builds write, and files that no build reads. */
const left = /^(?:node_modules|dist|\.vite)$|\.test\.tsx?$|\.tsbuildinfo$/u;

/**
 * Builds something, unless what it is made of has the content that it had when it was last built.
 *
 * @param {keyof typeof builds} name
 * @param {() => unknown} build
 */
export async function buildWhereChanged(name, build) {
  const { of, into } = builds[name];
  const stamp = path.join(root, '.build/made-of', name);
  const isThere = into.every((file) => existsSync(path.join(root, file))) && existsSync(stamp);
  if (isThere && readFileSync(stamp, 'utf8') === contentOf(of)) return;
  // A build that fails or is interrupted must not count as done.
  rmSync(stamp, { force: true });
  await build();
  mkdirSync(path.dirname(stamp), { recursive: true });
  // Only now, since a build also writes some of its own sources, such as the colors of the stylesheet.
  writeFileSync(stamp, contentOf(of));
}

function contentOf(files) {
  const hash = createHash('sha256');
  for (const file of files)
    for (const one of filesIn(file)) hash.update(`${one}\0`).update(readFileSync(path.join(root, one)));
  return hash.digest('hex');
}

function filesIn(file) {
  const stats = statSync(path.join(root, file), { throwIfNoEntry: false });
  if (!stats?.isDirectory()) return stats ? [file] : [];
  const names = readdirSync(path.join(root, file)).filter((name) => !left.test(name));
  return names.toSorted().flatMap((name) => filesIn(`${file}/${name}`));
}
