import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { root } from './run.mjs';

/** What the last long run of each project of tests found: the figures are kept beside the page that is made of them. */
const figures = path.join(root, 'docs/soak.json');
const page = path.join(root, 'docs/soak.md');

const what = {
  node: 'the core, and the command without a browser; machines by random events, `locate` and addresses, hostile site files',
  'react-19':
    'components in Chromium: contracts of React, Vue and elements; random walks, random documents, stress, hostile pages',
  'react-18': 'the same contracts on React 18',
  older: 'the contracts in Chromium without what browsers learned in the last four years',
  command: 'the command: audit, walk, sheet, packages, new projects',
  example: 'the observatory in React, in Vue and as plain pages',
  firefox: 'every browser test in Firefox',
  webkit: 'every browser test in WebKit',
  heard: 'what a screen reader says on ten ways through the observatory',
};

/**
 * Takes down what one project found, and writes the page again.
 *
 * @param {string} project
 * @param {string} commit that was tried
 * @param {{ date: string, milliseconds: number, passed: number, failed: string[], skipped: number }[]} results of its files
 */
export function writeSoakPage(project, commit, results) {
  const all = existsSync(figures) ? JSON.parse(readFileSync(figures, 'utf8')) : {};
  const sum = (amountOf) => results.reduce((total, one) => total + amountOf(one), 0);
  all[project] = {
    // Of the last sitting.
    date: results
      .map(({ date }) => date)
      .toSorted()
      .at(-1),
    commit,
    minutes: Math.round(sum(({ milliseconds }) => milliseconds) / 6000) / 10,
    passed: sum(({ passed }) => passed),
    skipped: sum(({ skipped }) => skipped),
    failed: results.flatMap(({ failed }) => failed),
  };
  writeFileSync(figures, `${JSON.stringify(all, null, 2)}\n`);
  writeFileSync(page, pageOf(all));
}

/** @param {Record<string, { date: string, commit?: string, minutes: number, passed: number, skipped: number, failed: string[] }>} all */
function pageOf(all) {
  const rows = Object.entries(what).map(([project, about]) => {
    const one = all[project];
    const figuresOf = one
      ? `${one.date} | ${one.commit ?? 'not noted'} | ${one.minutes} min | ${one.passed} | ${one.failed.length} | ${one.skipped}`
      : 'not yet | | | | |';
    return `| \`${project}\` | ${about} | ${figuresOf} |`;
  });
  const failures = Object.entries(all).flatMap(([project, { failed }]) =>
    failed.map((name) => `- \`${project}\`: ${name.replaceAll('<', '&lt;').replaceAll('|', '\\|')}`),
  );
  return `# The last long run

\`npm run soak\` tries what \`npm test\` tries, far more often, and in every engine. This page is written by it; \`npm run soak -- firefox\`
runs one project of tests and renews its row. Stopped and started again on the same commit, it goes on with the next file.

| project | what | when | commit | how long | passed | failed | skipped |
| ------- | ---- | ---- | ------ | -------- | -----: | -----: | ------: |
${rows.join('\n')}

## What failed

${failures.length > 0 ? failures.join('\n') : 'Nothing.'}

${existsSync(path.join(root, 'docs/soak-notes.md')) ? 'What these runs found, and what was done about it: [notes](soak-notes.md).\n' : ''}`;
}
