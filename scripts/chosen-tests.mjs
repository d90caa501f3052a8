import { readdirSync } from 'node:fs';
import { root } from './run.mjs';

/** What tests need that is built, from the least to the most. */
const needs = ['nothing', 'packages', 'all'];

/**
 * What a file of tests needs. The tests of the library import its sources, but for those that build apps or read what is
 * published.
 */
function needOf(file) {
  if (
    /^packages\/fair-trail\/src\/(?!vite\/|testing\/(?:playwright|driver)-host|dom\/foreign|core\/site\/schema)/u.test(
      file,
    )
  ) {
    return 'nothing';
  }
  // The corpus, the walks and the pictures of the command are of pages of the examples and of the documentation.
  return /^packages\/cli\/src\/(?:commands|workbench|audit|walk)\//u.test(file) || !file.startsWith('packages/')
    ? 'all'
    : 'packages';
}

/** The most that is needed by the tests whose paths have one of these words, as the runner chooses them. */
export function neededBy(words) {
  const files = ['packages', 'tests', 'examples', 'docs'].flatMap(testsIn);
  const chosen = files.filter((file) => words.length === 0 || words.some((word) => file.includes(word)));
  return needs[Math.max(0, ...chosen.map((file) => needs.indexOf(needOf(file))))];
}

function testsIn(folder) {
  return readdirSync(root + folder, { withFileTypes: true }).flatMap((one) => {
    if (one.isDirectory()) return /^(?:node_modules|dist)$/u.test(one.name) ? [] : testsIn(`${folder}/${one.name}`);
    return /\.test\.tsx?$/u.test(one.name) ? [`${folder}/${one.name}`] : [];
  });
}
