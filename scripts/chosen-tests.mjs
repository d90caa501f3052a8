import { readdirSync } from 'node:fs';
import { root } from './run.mjs';

/** What tests need that is built, from the least to the most. */
const needs = ['nothing', 'packages', 'all'];

/** Tests of the library that build apps, or read what is published. The others import its sources. */
const ofPublished = /\/src\/(?:vite\/|testing\/(?:playwright|driver)-host|dom\/foreign|core\/site\/schema)/u;

/** Tests of the command on pages of the examples and of the documentation. */
const onExamples = /^packages\/cli\/src\/(?:commands|workbench|audit|walk)\//u;

function needOf(file) {
  if (file.startsWith('packages/fair-trail/') && !ofPublished.test(file)) return 'nothing';
  return onExamples.test(file) || !file.startsWith('packages/') ? 'all' : 'packages';
}

/** The most that is needed by the tests whose paths have one of these words, as the runner chooses them. */
export function neededBy(words) {
  const files = ['packages', 'tests', 'examples', 'docs'].flatMap(testsIn);
  const chosen = files.filter((file) => words.some((word) => file.includes(word)));
  // Tests are chosen by an option then, such as `--project`, and may be any.
  if (chosen.length === 0) return 'all';
  return needs[Math.max(...chosen.map((file) => needs.indexOf(needOf(file))))];
}

function testsIn(folder) {
  return readdirSync(root + folder, { withFileTypes: true }).flatMap((one) => {
    if (one.isDirectory()) return /^(?:node_modules|dist)$/u.test(one.name) ? [] : testsIn(`${folder}/${one.name}`);
    return /\.test\.tsx?$/u.test(one.name) ? [`${folder}/${one.name}`] : [];
  });
}
