/**
 * Writes the pages of the documentation that are made from others: `docs/codes.md` from the sections that explain each code,
 * `docs/commands.md` from what each command says with `--help`, and the map of the code in `docs/code-map.svg` and
 * `CONTRIBUTING.md` from the imports. Run it after one of these changed: `node scripts/documentation-pages.mjs`. The packages
 * must have been built.
 */
import { spawnSync } from 'node:child_process';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import prettier from 'prettier';
import { codeMapSvg, readCodeMap } from './code-map.mjs';
import { root } from './run.mjs';

const read = (file) => readFileSync(path.join(root, file), 'utf8');

/** The pages whose sections of the third level explain a code each. */
const codePages = [
  { title: 'Problems of site files, and failures of commands', file: 'problems.md' },
  { title: 'Warnings of a running app', file: 'warnings.md' },
  { title: 'Faults that a walk reports', file: 'walk.md' },
  { title: 'Failures of navigation tests', file: 'testing.md' },
];

/** The first sentence of a text in Markdown, in one line. */
function firstSentence(text) {
  const paragraph = text
    .trim()
    .replace(/^(?:Fatal|Advisory)\.\s+/u, '')
    .split('\n\n')[0]
    .replaceAll(/\s+/gu, ' ')
    // Links in a table of another page would lead elsewhere.
    .replaceAll(/\[([^\]]+)\]\([^)]*\)/gu, '$1')
    .replaceAll('|', String.raw`\|`);
  return /^.*?[.:](?=\s+[A-Z“"`]|$)/u.exec(paragraph)?.[0].replace(/:$/u, '.') ?? paragraph;
}

function codesOf({ title, file }) {
  const rows = read(`docs/${file}`)
    .split(/^### /mu)
    .slice(1)
    .flatMap((section) => {
      const [code, ...lines] = section.split('\n');
      return /^[a-z][a-z-]*$/u.test(code)
        ? [`| [\`${code}\`](${file}#${code}) | ${firstSentence(lines.join('\n'))} |`]
        : [];
    });
  return [`## ${title}`, ['| code | meaning |', '| --- | --- |', ...rows].join('\n')].join('\n\n');
}

/** All codes, each with its meaning and the page that explains it. */
export async function codesPage() {
  const rules = readdirSync(path.join(root, 'docs/rules')).map((file) => {
    const [, meaning = ''] = read(`docs/rules/${file}`).split('\n\n');
    return `| [\`${file.slice(0, -3)}\`](rules/${file}) | ${firstSentence(meaning)} |`;
  });
  const text = [
    '# All codes',
    'Look up a code that a message names. Each code leads to its explanation.',
    ...codePages.map(codesOf),
    '## Rules of the audit',
    ['| rule | what it reports |', '| --- | --- |', ...rules].join('\n'),
    '',
  ].join('\n\n');
  return format(text);
}

function helpOf(...words) {
  const { stdout, status } = spawnSync(process.execPath, ['packages/cli/bin/fair-trail.js', ...words, '--help'], {
    cwd: root,
    encoding: 'utf8',
    env: { ...process.env, NO_COLOR: '1', COLUMNS: '80' },
  });
  if (status !== 0) throw new Error(`fair-trail ${words.join(' ')} --help failed.`);
  return stdout.trimEnd();
}

/** What each command says of itself. */
export async function commandsPage() {
  const general = helpOf();
  const names = [...general.matchAll(/^ {2}([a-z]+) \[options\]/gmu)].map(([, name]) => name);
  const block = (text) => `\`\`\`text\n${text}\n\`\`\``;
  const text = [
    '# Command options',
    'Look up the arguments and options of every command, as `fair-trail <command> --help` prints them.',
    block(general),
    ...names.flatMap((name) => [`## ${name}`, block(helpOf(name))]),
    '## audit merge',
    block(helpOf('audit', 'merge')),
    '',
  ].join('\n\n');
  return format(text);
}

/** `CONTRIBUTING.md` with the table of the layers' imports. */
export async function contributingPage() {
  const rows = readCodeMap().map(
    ({ name, imports }) => `| \`${name}\` | ${imports.map((to) => `\`${to}\``).join(', ')} |`,
  );
  const table = ['| layer | imports |', '| --- | --- |', ...rows].join('\n');
  const between = /(<!-- code map -->)[^]*?(<!-- end of code map -->)/u;
  return format(read('CONTRIBUTING.md').replace(between, (_, start, end) => `${start}\n\n${table}\n\n${end}`));
}

function format(text) {
  return prettier.format(text, { parser: 'markdown', printWidth: 120, singleQuote: true });
}

/** Every page that this script writes, by its path. */
export async function writtenPages() {
  return new Map([
    ['docs/codes.md', await codesPage()],
    ['docs/commands.md', await commandsPage()],
    ['docs/code-map.svg', codeMapSvg(readCodeMap())],
    ['CONTRIBUTING.md', await contributingPage()],
  ]);
}

if (process.argv[1] === import.meta.filename) {
  for (const [file, text] of await writtenPages()) writeFileSync(path.join(root, file), text);
}
