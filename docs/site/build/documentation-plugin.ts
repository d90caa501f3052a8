import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import MiniSearch from 'minisearch';
import { normalizePath, type Plugin } from 'vite';
import { repository } from './addresses.ts';
import { readMarkdown, searchSections } from './markdown.ts';
import { searchOptions } from '../src/search-options.ts';

const searchId = 'virtual:search-index';

/** The folders and files whose pages are on the site. */
export const folders = ['docs', 'docs/guides', 'docs/reference', 'docs/rules'];
export const topFiles = ['CONTRIBUTING.md', 'CHANGELOG.md', 'SECURITY.md'];

/** Every Markdown file of the site, by its path from the top of the repository. */
export function documentationFiles(): readonly string[] {
  const within = folders.flatMap((folder) =>
    readdirSync(path.join(repository, folder))
      .filter((name) => name.endsWith('.md'))
      .map((name) => `${folder}/${name}`),
  );
  return [...within, ...topFiles];
}

/** Makes modules of Markdown files, and the index that the search loads. */
export function documentationPlugin(): Plugin {
  return {
    name: 'documentation',
    enforce: 'pre',
    resolveId: (source) => (source === searchId ? `\0${searchId}` : null),
    load(id) {
      if (id === `\0${searchId}`) {
        const index = new MiniSearch(searchOptions);
        const files = documentationFiles();
        for (const file of files) this.addWatchFile(path.join(repository, file));
        index.addAll(files.flatMap((file) => searchSections(readFileSync(path.join(repository, file), 'utf8'), file)));
        return `export default ${JSON.stringify(JSON.stringify(index))};`;
      }
      const [file = ''] = id.split('?', 1);
      if (!file.endsWith('.md')) return null;
      this.addWatchFile(file);
      const images = new Map<string, string>();
      const image = (name: string) => {
        images.set(name, images.get(name) ?? `image${images.size}`);
        return `%${images.get(name) ?? ''}%`;
      };
      const shown = normalizePath(path.relative(repository, file));
      const document = JSON.stringify(readMarkdown(readFileSync(file, 'utf8'), shown, image));
      // Vite gives each image its address.
      const imports = [...images].map(
        ([name, variable]) => `import ${variable} from ${JSON.stringify(normalizePath(path.join(repository, name)))};`,
      );
      const replaced = [...images.values()].map((variable) => `.replaceAll('%${variable}%', ${variable})`).join('');
      return [...imports, `export default JSON.parse(${JSON.stringify(document)}${replaced});`].join('\n');
    },
  };
}
