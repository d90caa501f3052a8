import { spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { checkSite, reviewSite } from 'fair-trail';
import { describe, expect, test } from 'vitest';
import { projectName } from '../project/project-name.ts';
import { versions } from '../project/versions.ts';
import { place, root, run } from '../test-command.samples.ts';

const filesIn = (folder: string) =>
  readdirSync(folder, { recursive: true, withFileTypes: true })
    .filter((item) => item.isFile())
    .map((item) => path.relative(folder, path.join(item.parentPath, item.name)));

describe('new', () => {
  test.each(['react', 'vue', 'html'])(
    'a project with %s has the names of its folder, and a sound site file',
    (framework) => {
      const folder = place(`tern-raft-${framework}`);
      const { status, stdout } = run('new', folder, '--with', framework, '--color', '#1d5f6b');
      expect([status, stdout]).toEqual([0, expect.stringContaining(`npm install\n  npm test\n  npm run dev\n`)]);
      expect(stdout).toContain('"Tern Raft');
      const texts = filesIn(folder).map((file) => readFileSync(path.join(folder, file), 'utf8'));
      expect(texts.filter((text) => /marram/iu.test(text))).toEqual([]);
      expect(texts.some((text) => text.includes("tokens: 'src/theme.tokens.json'"))).toBe(true);
      expect(filesIn(folder)).toContain('.gitignore');
      const definition: unknown = JSON.parse(
        readFileSync(path.join(folder, `src/tern-raft-${framework}.site.json`), 'utf8'),
      );
      const { site, problems } = checkSite(definition);
      expect([problems, site && reviewSite(site)]).toEqual([[], []]);
    },
  );

  test('without a color there is no tokens file, and a name with signs in it stays text', () => {
    const folder = place('A & <b> {c}');
    expect(run('new', folder, '--with', 'vue').status).toBe(0);
    expect(existsSync(path.join(folder, 'src/theme.tokens.json'))).toBe(false);
    expect(readFileSync(path.join(folder, 'vite.config.ts'), 'utf8')).toContain(
      "fairTrail({ prerender: 'src/server.ts' })",
    );
    expect(readFileSync(path.join(folder, 'src/pages/home.vue'), 'utf8')).toContain('A &amp; &lt;b&gt; &#123;c&#125;.');
    expect(JSON.parse(readFileSync(path.join(folder, 'package.json'), 'utf8'))).toMatchObject({ name: 'a-b-c' });
  });

  test('a folder that is not empty is refused, but for a repository that has just been made', () => {
    const folder = place('not-empty');
    mkdirSync(path.join(folder, '.git'), { recursive: true });
    writeFileSync(path.join(folder, 'notes.txt'), 'mine');
    const { status, stderr } = run('new', folder, '--with', 'react');
    expect([status, stderr]).toEqual([2, expect.stringContaining('it has "notes.txt"')]);
    expect(filesIn(folder)).toEqual(['notes.txt']);
    const empty = place('only-git');
    mkdirSync(path.join(empty, '.git'), { recursive: true });
    expect(run('new', empty, '--with', 'react').status).toBe(0);
  });

  test.each<[string, readonly string[], string]>([
    ['no framework', [], 'bad-usage'],
    ['an unknown framework', ['--with', 'paper'], 'bad-usage'],
    ['no color', ['--with', 'html', '--color', 'teal'], 'bad-color'],
  ])('%s is refused', (name, args, code) => {
    const folder = place(`refused ${name}`);
    expect(run('new', folder, ...args)).toMatchObject({
      status: 2,
      stderr: expect.stringContaining(`[${code}]`) as string,
    });
    expect(existsSync(folder)).toBe(false);
  });

  test('the name of a package can be made of the name of any folder', () => {
    const slugs = ['Marram Point', 'écluse', 'Größe', '日本', '..', '2026'].map((folder) => projectName(folder).slug);
    expect(slugs).toEqual(['marram-point', 'ecluse', 'grosse', 'site', 'site', '2026']);
  });

  test('it begins with the versions that this workspace is tested with', () => {
    const read = (file: string) =>
      JSON.parse(readFileSync(path.join(root, file), 'utf8')) as Readonly<
        Record<string, Readonly<Record<string, string>>>
      >;
    const manifests = [
      'package.json',
      'examples/observatory-react/package.json',
      'examples/observatory-vue/package.json',
    ].map(read);
    const known = Object.assign(
      {},
      ...manifests.flatMap(({ dependencies, devDependencies }) => [dependencies, devDependencies]),
    ) as object;
    expect(known).toMatchObject(versions);
  });

  test('npm create is the same', () => {
    const folder = place('created');
    const bin = path.join(root, 'packages/create-fair-trail/bin/create-fair-trail.js');
    const { status } = spawnSync(process.execPath, [bin, folder, '--with', 'html'], { cwd: root });
    expect([status, existsSync(path.join(folder, 'src/created.site.json'))]).toEqual([0, true]);
  });
});
