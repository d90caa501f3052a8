import { rmSync } from 'node:fs';
import path from 'node:path';
import type { Page } from 'playwright';
import { describe, expect, test } from 'vitest';
import type { Logger, ViteDevServer } from 'vite';
import { effort } from '../../../../tests/effort.ts';
import type { Site } from '../core/site/site.ts';
import {
  otherTokensText,
  readIn,
  sampleProject,
  useBrowser,
  siteFile,
  siteText,
  tokensFile,
  type Framework,
  type SampleProject,
} from './projects.samples.ts';

/** The development server itself, and a browser that has its page open while files are edited. */

const { browser, ends } = useBrowser();

interface Running {
  readonly project: SampleProject;
  readonly server: ViteDevServer;
  readonly page: Page;
  readonly url: string;
  /** What was written to the terminal. */
  readonly lines: string[];
  /** How often the page was loaded. */
  readonly loads: () => number;
  readonly complaints: string[];
}

interface RunOptions {
  readonly options?: Parameters<SampleProject['fairTrail']>[0];
  readonly isFirst?: boolean;
  readonly before?: (project: SampleProject) => void;
}

async function run(framework: Framework, version: 7 | 8, given: RunOptions = {}): Promise<Running> {
  const { options = { tokens: tokensFile }, isFirst = false, before } = given;
  const project = await sampleProject(framework, version);
  ends.push(project.remove);
  before?.(project);
  const lines: string[] = [];
  const customLogger = loggerInto(project.vite.createLogger('silent'), lines);
  const own = project.fairTrail(options);
  const others = await project.plugins();
  const server = await project.vite.createServer({
    root: project.folder,
    base: '/point/',
    configFile: false,
    customLogger,
    cacheDir: path.join(project.folder, 'cache'),
    plugins: isFirst ? [own, others] : [others, own],
    ...(framework === 'react' && version === 7 && { esbuild: { jsx: 'automatic' } }),
    server: { port: 0, host: '127.0.0.1' },
  });
  ends.push(() => server.close());
  await server.listen();
  const context = await browser().newContext({ viewport: { width: 1280, height: 800 } });
  ends.push(() => context.close());
  const page = await context.newPage();
  const complaints: string[] = [];
  let loads = 0;
  page.on('pageerror', (error) => complaints.push(String(error)));
  page.on('console', (message) => {
    if (['error', 'warning'].includes(message.type())) complaints.push(message.text());
  });
  page.on('domcontentloaded', () => (loads += 1));
  const url = server.resolvedUrls?.local[0] ?? '';
  await page.goto(url);
  return { project, server, page, url, lines, loads: () => loads, complaints };
}

function loggerInto(logger: Logger, lines: string[]): Logger {
  const take = (message: string) => void lines.push(message);
  return { ...logger, info: take, warn: take, warnOnce: take, error: take };
}

const bar = (page: Page) => page.getByRole('navigation', { name: 'Main' });
const problems = (page: Page) => page.locator('fair-trail-problems').getByRole('alert');

/** What a visitor has done, and must find again. */
const stateOf = (page: Page) =>
  page.evaluate(`({
    focus: document.activeElement.textContent,
    expanded: document.querySelector('button[aria-expanded="true"]')?.getAttribute('aria-label'),
    notes: document.querySelector('input').value,
    scroll: Math.round(scrollY),
  })`);

async function useApp(page: Page): Promise<void> {
  await page.getByLabel('Notes').fill('Two bitterns');
  await bar(page).getByRole('button', { name: 'Pages in Hides' }).click();
  await page.keyboard.press('Tab');
  await page.evaluate('scrollTo(0, 300)');
}

const expectedState = { focus: 'Reedbed Hide', expanded: 'Pages in Hides', notes: 'Two bitterns', scroll: 300 };

const everywhere = [
  [8, 'react'],
  [8, 'vue'],
  [8, 'html'],
  [7, 'html'],
] as const;
const more = [
  [7, 'react'],
  [7, 'vue'],
] as const;

describe.each<readonly [7 | 8, Framework]>(effort([...everywhere], [...everywhere, ...more]))(
  'with Vite %i and %s',
  (version, framework) => {
    test('an edited site file and tokens file reach the page, which keeps what was done in it', async () => {
      const { project, page, loads, lines, complaints } = await run(framework, version);
      // A dependency that is found late makes Vite load the page again, once.
      await expect.poll(() => bar(page).getByRole('link', { name: 'Tides' }).count()).toBe(1);
      await page.waitForLoadState('networkidle');
      await useApp(page);
      expect(await stateOf(page)).toEqual(expectedState);
      const before = loads();

      project.write(siteFile, siteText.replace('"Tides"', '"Tides and wind"'));
      await expect.poll(() => bar(page).getByRole('link', { name: 'Tides and wind' }).count()).toBe(1);
      project.write(siteFile, siteText.replace('"Tides"', '"Tides and waves"'));
      await expect.poll(() => bar(page).getByRole('link', { name: 'Tides and waves' }).count()).toBe(1);
      if (framework === 'html') {
        // That one loads the file by its address.
        const second = page.getByRole('navigation', { name: 'Second' });
        await expect.poll(() => second.getByRole('link', { name: 'Tides and waves' }).count()).toBe(1);
      }
      expect(readIn(project, 'src/observatory.site.d.json.ts')).toContain('readonly "id": "lantern-room";');
      expect(await stateOf(page)).toEqual(expectedState);

      // The names are known at once to an editor.
      project.write(
        siteFile,
        siteText.replace('"id": "tides"', '"id": "tide-table"').replace('"tides"', '"tide-table"'),
      );
      await expect.poll(() => readIn(project, 'src/observatory.site.d.json.ts')).toContain('"tide-table"');

      const color = () =>
        page.evaluate('getComputedStyle(document.documentElement).getPropertyValue("--ft-rust").trim()');
      expect(await color()).toBe('#993b14');
      project.write(tokensFile, otherTokensText);
      await expect.poll(color).toBe('#1d5f6b');
      expect(await stateOf(page)).toEqual(expectedState);

      project.write(siteFile, siteText.replace('"href": "/tides"', '"href": "javascript:tides"'));
      await expect.poll(() => problems(page).textContent()).toContain('src/observatory.site.json:39:15');
      expect(await problems(page).textContent()).toContain('unsafe-href');
      expect(lines.join('\n')).toContain('src/observatory.site.json:39:15 unsafe-href');
      expect(await stateOf(page)).toEqual(expectedState);
      project.write(siteFile, siteText);
      await expect.poll(() => page.locator('fair-trail-problems').count()).toBe(0);
      await expect.poll(() => bar(page).getByRole('link', { name: 'Tides', exact: true }).count()).toBe(1);
      expect(await stateOf(page)).toEqual(expectedState);
      expect(loads()).toBe(before);
      expect(complaints).toEqual([]);
    });
  },
);

test('what is wrong with the files is shown until it is right: half of the file, none at all, a token', async () => {
  const { project, page } = await run('react', 8);
  await bar(page).getByRole('link', { name: 'Tides' }).waitFor();
  for (const [code, edit] of [
    ['json-syntax', () => project.write(siteFile, siteText.slice(0, 400))],
    ['json-syntax', () => project.write(siteFile, '')],
    ['file-missing', () => rmSync(path.join(project.folder, siteFile))],
  ] as const) {
    edit();
    await expect.poll(() => problems(page).textContent()).toContain(code);
    expect(await bar(page).getByRole('link', { name: 'Tides' }).count()).toBe(1);
  }
  project.write(siteFile, siteText);
  await expect.poll(() => page.locator('fair-trail-problems').count()).toBe(0);
  project.write(tokensFile, otherTokensText.replace('#1d5f6b', 'teal'));
  await expect.poll(() => problems(page).textContent()).toContain('token-problems');

  // It can be read and put aside by keyboard, and takes no focus by itself.
  const focused = () => page.evaluate('document.activeElement.localName');
  expect(await focused()).toBe('body');
  await page.keyboard.press('Shift+Tab');
  await expect.poll(focused).toBe('fair-trail-problems');
  await page.keyboard.press('Escape');
  await expect.poll(() => problems(page).isVisible()).toBe(false);
});

test('a page that is loaded while the file is wrong has the last good site; one that never had any begins when it is right', async () => {
  const { project, page } = await run('react', 8, {
    before: (made) => made.write(siteFile, siteText.replace('"href": "/tides"', '"href": 5')),
  });
  await expect.poll(() => problems(page).textContent()).toContain('src/observatory.site.json:39:15');
  project.write(siteFile, siteText);
  await bar(page).getByRole('link', { name: 'Tides' }).waitFor();
  project.write(siteFile, siteText.replace('"href": "/tides"', '"href": 5'));
  await expect.poll(() => problems(page).count()).toBe(1);
  await page.reload();
  await expect.poll(() => problems(page).textContent()).toContain('src/observatory.site.json:39:15');
  expect(await bar(page).getByRole('link', { name: 'Tides' }).count()).toBe(1);
});

test('entries without a page and pages without an entry are reported in the terminal', async () => {
  const { project, lines, page } = await run('vue', 8);
  await expect.poll(() => lines.join('\n')).toContain('tides have no page in the stage');
  project.write(siteFile, siteText.replace('"lantern-room"', '"lantern"'));
  await page.reload();
  await expect
    .poll(() => lines.join('\n'))
    .toContain('lantern-room are pages of the stage, and no entries of the site');
});

test('the state sheet is at an address of the server, and follows the site file', async () => {
  const { project, page, url } = await run('html', 8);
  await page.goto(`${url}@fair-trail/sheet`);
  expect(new URL(page.url()).pathname).toBe('/point/@fair-trail/sheet/');
  await page.getByText('Tides', { exact: true }).first().waitFor();
  project.write(siteFile, siteText.replace('"Tides"', '"Tides and wind"'));
  await page.getByText('Tides and wind').first().waitFor();
});

test('what is edited in the workbench shows in the running app before it is saved, and goes with the page', async () => {
  const { project, page, url, complaints } = await run('html', 8);
  const before = readIn(project, tokensFile);
  const workbench = await page.context().newPage();
  await workbench.goto(`${url}@fair-trail/sheet/`);
  await workbench.getByRole('treeitem', { name: 'Tides', exact: true }).first().click();
  await workbench.getByLabel('Label', { exact: true }).fill('Tides and wind');
  await bar(page).getByRole('link', { name: 'Tides and wind' }).waitFor();
  await workbench.getByRole('tab', { name: 'Looks' }).click();
  await workbench.getByLabel('gap', { exact: true }).fill('2');
  const gap = () => page.evaluate(() => getComputedStyle(document.documentElement).getPropertyValue('--ft-gap'));
  await expect.poll(gap).toBe('2rem');
  expect(readIn(project, siteFile)).toBe(siteText);
  // Half of a label is no site: the app stays as it was.
  await workbench.getByRole('tab', { name: 'Site' }).click();
  await workbench.getByLabel('Label', { exact: true }).fill('');
  await workbench.getByText('The label is empty').first().waitFor();
  await workbench.keyboard.press('Control+z');
  await workbench.close();
  await bar(page).getByRole('link', { name: 'Tides', exact: true }).waitFor();
  await expect.poll(gap).not.toBe('2rem');
  expect([readIn(project, siteFile), readIn(project, tokensFile)]).toEqual([siteText, before]);
  expect(complaints).toEqual([]);
});

test('a server that renders has the site as it is now', async () => {
  const { project, server } = await run('react', 8);
  const label = async () => {
    const { default: site } = (await server.ssrLoadModule(`/${siteFile}`)) as { readonly default: Site };
    return site.entry('tides')?.label;
  };
  expect(await label()).toBe('Tides');
  project.write(siteFile, siteText.replace('"Tides"', '"Tides and wind"'));
  await expect.poll(label).toBe('Tides and wind');
});

test('the order of the plugins does not matter', async () => {
  const { page, complaints } = await run('react', 8, { isFirst: true });
  await bar(page).getByRole('link', { name: 'Tides' }).waitFor();
  expect(complaints).toEqual([]);
});

test('two site files need a name, and then each import is the site of its own file', async () => {
  const second = 'src/second.site.json';
  const before = (project: SampleProject) => {
    project.write(second, siteText.replace('"Tides"', '"Other tides"'));
    project.write(
      'src/main.ts',
      `import second from './second.site.json';\n${readIn(project, 'src/main.ts')}
document.body.append(second.entry('tides').label);\n`,
    );
  };
  await expect(run('html', 8, { before, options: {} })).rejects.toThrow(/several site files: .*Name one of them/u);
  const { page, project } = await run('html', 8, { before, options: { site: siteFile } });
  await bar(page).getByRole('link', { name: 'Tides', exact: true }).waitFor();
  await expect.poll(() => page.locator('body').textContent()).toContain('Other tides');
  project.write(second, siteText.replace('"Tides"', '5'));
  await expect.poll(() => problems(page).textContent()).toContain('src/second.site.json:38:16');
});
