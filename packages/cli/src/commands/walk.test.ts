import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';
import { afterAll, describe, expect, test } from 'vitest';
import {
  subjectBody,
  subjectDocument,
  subjectScript,
  subjectSite,
} from '../../../fair-trail/src/testing/subject.samples.ts';
import { findBrowser } from '../browser/open-browser.ts';
import { serveFolder } from '../browser/serve-folder.ts';
import { readXml } from '../readers/xml.ts';
import { place, root, run, withoutColors, write, type Outcome } from '../test-command.samples.ts';
import type { WalkReport } from '../walk/walk-report.ts';

const site = write('site.json', JSON.stringify(subjectSite).replace(',"movedFrom":["/reedbed"]', ''));
const addresses = ['', 'hides/', 'hides/reedbed/', 'hides/lantern/', 'tides/', 'visit/'];

function folderOf(name: string, html: string): string {
  for (const address of addresses) write(`${name}/${address}index.html`, html);
  return place(name);
}

// A server of files adds a slash, and the page looks itself up by its address.
const slashed = subjectScript
  .replace('location.pathname] ??', "location.pathname.replace(/(.)[/]$/, '$1')] ??")
  .replaceAll('=== location.pathname', "=== location.pathname.replace(/(.)[/]$/, '$1')");
const sound = folderOf('sound', subjectDocument({ script: slashed }));
const broken = folderOf(
  'broken',
  subjectDocument({ script: slashed.replace("'aria-current', 'page'", "'class', 'page'") }),
);

const walk = (...given: string[]): Outcome => run('walk', site, '--only', 'today,reedbed', ...given);

test('a site that is as it says: nothing to tell, and exit code 0', () => {
  const { status, stdout, stderr } = walk('--against', sound);
  expect([status, stderr]).toEqual([0, '']);
  expect(stdout).toMatch(/^2 pages: all as the site file says, in \d+ checks\.\n$/u);
});

test('records that were not given are named before the walk', () => {
  const entries = [...subjectSite.entries, { id: 'bird', label: '{slug}', href: '/birds/:slug', records: 'birds' }];
  const withRecords = write('with-records.json', JSON.stringify({ ...subjectSite, entries }));
  const { status, stderr } = run('walk', withRecords, '--only', 'today', '--against', sound, '--by', 'mouse');
  expect(stderr).toBe('advice: no records were given for "birds": their pages are not walked. Give --records FILE.\n');
  expect(status).toBe(0);
});

test('a site that is not: where, what, which side, and what to do, and exit code 1', () => {
  const { status, stdout } = walk('--against', broken, '--by', 'mouse');
  expect(status).toBe(1);
  expect(stdout).toContain(
    'Wrong in the pages\n\n  A menu marks something else than where the visitor is. [wrong-mark]',
  );
  expect(stdout).toContain('/hides/reedbed · entry “reedbed” · menu “main” (/entries/1/entries/0 in the site file)');
  expect(stdout).toContain('“Reedbed Hide” is not marked, and should be as the page.');
  expect(stdout).toContain('Let aria-current follow the address');
  expect(stdout).toMatch(/2 pages: 0 as the site file says, \d faults\.\n$/u);
});

test('as JSON, and as JUnit XML', () => {
  const json = JSON.parse(walk('--against', broken, '--by', 'mouse', '--format', 'json').stdout) as WalkReport;
  expect(
    json.stops.map(({ address, checks }) => [address, checks.marked, checks.titled, checks['by keyboard']]),
  ).toEqual([
    ['/', 'wrong', 'right', 'not judged'],
    ['/hides/reedbed', 'wrong', 'right', 'not judged'],
  ]);
  const file = place('report.xml');
  const { status, stdout } = walk('--against', broken, '--by', 'mouse', '--format', 'junit', '--out', file);
  expect([status, stdout]).toEqual([1, '']);
  const xml = readFileSync(file, 'utf8');
  expect(() =>
    readXml(xml, file, { open: () => undefined, close: () => undefined, text: () => undefined }),
  ).not.toThrow();
  const cases = [
    ...xml.matchAll(/<testsuite name="([^"]*)" tests="(\d+)" failures="(\d+)" errors="0" skipped="(\d+)">/gu),
  ];
  expect(cases.map(([, name, tests, failures]) => [name, tests, Number(failures) > 0])).toEqual([
    ['Today (/)', '10', true],
    ['Reedbed Hide (/hides/reedbed)', '10', true],
  ]);
});

describe('tests that are written', () => {
  // Where packages are found.
  const folder = path.join(root, '.build/written');
  afterAll(() => rmSync(folder, { recursive: true, force: true }));

  test('pass on the site that they were written of, fail on another, and are not written over', async () => {
    rmSync(folder, { recursive: true, force: true });
    mkdirSync(folder, { recursive: true });
    const file = path.join(folder, 'navigation.test.ts');
    writeFileSync(path.join(folder, 'vitest.config.ts'), 'export default { test: { testTimeout: 60_000 } };\n');
    expect(walk('--against', sound, '--write', file).status).toBe(0);
    const again = walk('--against', sound, '--write', file);
    expect([again.status, again.stderr]).toEqual([2, expect.stringContaining('[file-exists]')]);

    const outcomeAt = async (served: string) => {
      const { url, close } = await serveFolder(served);
      const env = {
        ...process.env,
        SITE_ADDRESS: url,
        CHROMIUM_PATH: findBrowser() ?? '',
      };
      const vitest = path.join(root, 'node_modules/vitest/vitest.mjs');
      const child = spawn(process.execPath, [vitest, 'run', '--root', folder], {
        env,
        stdio: ['ignore', 'pipe', 'pipe'],
      });
      let text = '';
      for (const stream of [child.stdout, child.stderr])
        stream.on('data', (chunk: Buffer) => (text += chunk.toString()));
      const status = await new Promise((resolve) => child.on('close', resolve));
      close();
      return { status, text };
    };
    const passed = await outcomeAt(sound);
    expect(passed.text).toMatch(/5 passed/u);
    expect(passed.status).toBe(0);
    const failed = await outcomeAt(broken);
    expect(failed.text).toContain('“Reedbed Hide” is marked as the page');
    expect(failed.status).toBe(1);
  });
});

describe('tests that are written ask for breadcrumbs as the pages show them', () => {
  const written = (name: string, html: string) => {
    const file = place(`${name}.test.ts`);
    const { status } = walk('--against', folderOf(name, html), '--by', 'mouse', '--write', file);
    expect(status).toBe(0);
    return readFileSync(file, 'utf8').match(/^ {4}breadcrumbs: .*$/gmu) ?? [];
  };

  test('none', () => {
    const body = subjectBody.replace(/<nav aria-label="Breadcrumbs">.*?<\/nav>/u, '');
    const script = slashed.replace("document.getElementById('crumbs')", "document.createElement('ol')");
    expect(written('without-breadcrumbs', subjectDocument({ body, script }))).toEqual([]);
  });

  test('without the page itself', () => {
    const script = slashed.replace('crumbs.append(step)', 'if (path !== null) crumbs.append(step)');
    expect(written('short-breadcrumbs', subjectDocument({ script }))).toEqual(["    breadcrumbs: ['Today', 'Hides'],"]);
  });
});

/** Runs the command in a terminal, and presses each key there once the text before it is read. */
async function inTerminal(
  args: readonly string[],
  presses: readonly (readonly [text: string, key: string])[],
  {
    terminal: TERM = 'xterm',
    onStart,
  }: { readonly terminal?: string; readonly onStart?: (write: (key: string) => void) => void } = {},
) {
  const quoted = [process.execPath, 'packages/cli/bin/fair-trail.js', ...args].map((word) => `'${word}'`).join(' ');
  // script, of util-linux, gives it a terminal, which turns keys into signals.
  const given = ['--quiet', '--return', '--command', `stty cols 120; ${quoted}`, '/dev/null'];
  const child = spawn('script', given, { cwd: root, env: { ...process.env, ...withoutColors, NO_COLOR: '1', TERM } });
  onStart?.((key) => child.stdin.write(key));
  const left = [...presses];
  let text = '';
  child.stdout.on('data', (chunk: Buffer) => {
    text += chunk.toString();
    const [next] = left;
    if (!next || !text.includes(next[0])) return;
    left.shift();
    child.stdin.write(next[1]);
  });
  const status = await new Promise<number | null>((resolve) => child.on('close', resolve));
  return { status, text };
}

describe.runIf(process.platform === 'linux')('Ctrl+C in a terminal', () => {
  const ctrlC = '\x03';

  test('tells what has been found so far, and does not pass for a walk to the end', async () => {
    const file = place('stopped.test.ts');
    const { status, text } = await inTerminal(['walk', site, '--against', broken, '--write', file], [['Step ', ctrlC]]);
    // Half a table of pages would pass for a whole one.
    expect(text).toContain('No tests were written: the walk was stopped.');
    expect(existsSync(file)).toBe(false);
    expect(text).toContain('A menu marks something else than where the visitor is. [wrong-mark]');
    expect(text).toContain('The walk was stopped: what was not tried is not judged.\r\n');
    expect(text).toMatch(/6 pages: 0 as the site file says, \d faults?, \d not looked at\./u);
    expect(status).toBe(130);
  });

  test('ends at once when it is pressed again', async () => {
    const { status, text } = await inTerminal(
      ['walk', site, '--against', broken],
      [
        ['Step ', ctrlC],
        ['Ctrl+C again ends at once.', ctrlC],
      ],
    );
    expect(text).not.toContain('[wrong-mark]');
    expect(status).toBe(130);
  });

  test('is heard where nothing can be drawn over too, and no line is left there of what is under way', async () => {
    let press: (() => void) | null = null;
    const server = createServer((_, response) => {
      press?.();
      press = null;
      response.setHeader('Content-Type', 'text/html').end(readFileSync(path.join(broken, 'index.html')));
    });
    await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
    const { port } = server.address() as AddressInfo;
    const pressed = inTerminal(['walk', site, '--against', `http://127.0.0.1:${port}`], [], {
      terminal: 'dumb',
      onStart: (write) => (press = () => write(ctrlC)),
    });
    const { status, text } = await pressed.finally(() => server.close());
    expect(text).not.toContain('Opening');
    expect(text).toContain('Ctrl+C again ends at once.');
    expect(text).toContain('The walk was stopped: what was not tried is not judged.');
    expect(status).toBe(130);
  });
});

describe('bad input is refused, with the place and the remedy', () => {
  test.each<[string, string[], number, string]>([
    ['a folder that is not there', ['--against', place('nowhere')], 2, '[file-missing]'],
    [
      'no one who answers',
      ['--against', 'http://127.0.0.1:9'],
      2,
      'Not one page of the site file is at http://127.0.0.1:9',
    ],
    [
      'a report with no folder to be in, before anything is asked',
      ['--against', 'http://127.0.0.1:9', '--out', place('none/report.xml')],
      2,
      'to write "report.xml" in. Make it, or name another. [file-unreadable]',
    ],
    ['another site', ['--against', folderOf('other/below', '<h1>Other</h1>').replace('/below', '')], 2, '(--base)'],
    [
      'an entry that there is not',
      ['--against', sound, '--only', 'nope'],
      2,
      'There is no entry "nope". "fair-trail show" lists them.',
    ],
    ['a language that there is not', ['--against', sound, '--language', 'cy'], 2, '[no-such-language]'],
    [
      'an audience that no entry is for',
      ['--against', sound, '--audience', 'ringers', '--browser', place('none')],
      3,
      'advice: no entry is for the audience "ringers".',
    ],
    ['no storage', ['--against', sound, '--storage', site], 2, 'storageState() writes it. [storage-syntax]'],
    ['no input', ['--against', sound, '--by', 'voice'], 2, 'There are mouse and keyboard.'],
    ['no address', [], 2, "required option '--against"],
    ['no browser', ['--against', sound, '--browser', place('none')], 3, '[no-browser]'],
  ])('%s', (_, given, status, message) => {
    const outcome = walk(...given);
    expect(outcome.stderr).toContain(message);
    expect([outcome.status, outcome.stdout]).toEqual([status, '']);
  });
});
