import path from 'node:path';

/** Where the documentation lies in the repository. */
export const repository = path.resolve(import.meta.dirname, '../../..');

/** Pages of the repository's top folder that are part of the site. */
const topPages: Readonly<Record<string, string>> = {
  'CONTRIBUTING.md': '/contributing',
  'CHANGELOG.md': '/changelog',
  'SECURITY.md': '/security',
  'README.md': '/',
};

/**
 * The address of a Markdown file on the site; null for a file that is not part of it.
 *
 * @param file the path from the top of the repository, such as `docs/guides/bar.md`
 */
export function addressOfFile(file: string): string | null {
  const top = topPages[file];
  if (top !== undefined) return top;
  const within = /^docs\/(.+)\.md$/u.exec(file)?.[1];
  if (within === undefined) return null;
  return `/${within.replace(/(?:^|\/)README$/u, '')}`;
}
