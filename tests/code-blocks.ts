import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

export const root = path.resolve(import.meta.dirname, '..');

/** A fenced code block of a page of the documentation. */
export interface CodeBlock {
  /** Such as `docs/bar.md:84`. */
  readonly place: string;
  readonly language: string;
  readonly code: string;
  /** The file that the paragraph before it names at its beginning, such as `src/app.tsx`; null if it names none. */
  readonly file: string | null;
}

export const pages: readonly string[] = [
  'README.md',
  'CONTRIBUTING.md',
  'CHANGELOG.md',
  ...['docs', 'docs/guides', 'docs/reference'].flatMap((folder) =>
    readdirSync(path.join(root, folder))
      .filter((name) => name.endsWith('.md'))
      .map((name) => `${folder}/${name}`),
  ),
];

export function codeBlocksIn(page: string): readonly CodeBlock[] {
  const text = readFileSync(path.join(root, page), 'utf8');
  return [...text.matchAll(/^```(\w+)\n([\s\S]*?)^```$/gmu)].map((found) => {
    const before = text.slice(0, found.index);
    const paragraph = before.trimEnd().split('\n\n').at(-1) ?? '';
    return {
      place: `${page}:${before.split('\n').length}`,
      language: found[1] ?? '',
      code: found[2] ?? '',
      file: /^\*\*`([^`]+)`\*\*/u.exec(paragraph)?.[1] ?? null,
    };
  });
}
