import type { Rollup } from 'vite';

/** The name of the set that an app's server module notes its imports in, while a page is loaded. */
export const importsName = 'fairTrailImports';

/** What a node of a syntax tree has that matters here. */
interface SyntaxNode {
  readonly type: string;
  readonly start: number;
  readonly end: number;
  readonly source?: { readonly type: string; readonly value?: unknown };
}

/** Files that a page needs besides those that the document names, by the id of the module that is imported for it. */
export type PageTags = Readonly<Record<string, string>>;

/** What has to be known of a chunk of the build. */
interface ChunkFiles {
  readonly fileName: string;
  readonly imports: readonly string[];
  readonly css: readonly string[];
  readonly isEntry: boolean;
  readonly modules: readonly string[];
}

type Resolver = Pick<Rollup.PluginContext, 'parse' | 'resolve'>;

/**
 * Makes each import of a page known on a server, where nothing says otherwise which scripts that page needs.
 *
 * @returns the code with each `import(…)` of a known module noted as it happens; null if there is none
 */
export async function noteImports(context: Resolver, code: string, id: string): Promise<string | null> {
  if (!/\bimport\s*\(/u.test(code) || id.includes('/node_modules/')) return null;
  const found: SyntaxNode[] = [];
  collectImports(context.parse(code), found);
  let noted = code;
  // From the last to the first, so that the places of those before stay true.
  for (const { start, end, source } of found.toSorted((one, other) => other.start - one.start)) {
    if (typeof source?.value !== 'string') continue;
    const resolved = await context.resolve(source.value, id);
    if (!resolved) continue;
    const note = `globalThis.${importsName}?.add(${JSON.stringify(resolved.id)})`;
    noted = `${noted.slice(0, start)}(${note}, ${noted.slice(start, end)})${noted.slice(end)}`;
  }
  return noted === code ? null : noted;
}

function collectImports(node: unknown, found: SyntaxNode[]): void {
  if (typeof node !== 'object' || node === null) return;
  if ('type' in node && node.type === 'ImportExpression') found.push(node as SyntaxNode);
  for (const child of Object.values(node)) collectImports(child, found);
}

/**
 * The elements that load what a page needs ahead: scripts as `modulepreload`, and the styles that came with them.
 *
 * @param base the base path of the app
 */
export function pageTags(bundle: Rollup.OutputBundle, base: string): PageTags {
  const chunks = new Map<string, ChunkFiles>();
  for (const output of Object.values(bundle)) {
    if (output.type !== 'chunk') continue;
    const { fileName, imports, isEntry, moduleIds } = output;
    const css = [...(output.viteMetadata?.importedCss ?? [])];
    chunks.set(fileName, { fileName, imports, css, isEntry, modules: moduleIds });
  }
  const present = new Set(
    [...chunks.values()].filter(({ isEntry }) => isEntry).flatMap((entry) => below(entry, chunks)),
  );
  const tags: Record<string, string> = {};
  for (const chunk of chunks.values()) {
    const needed = below(chunk, chunks).filter((file) => !present.has(file));
    const text = needed
      .map((file) =>
        file.endsWith('.css')
          ? `<link rel="stylesheet" href="${base}${file}">`
          : `<link rel="modulepreload" href="${base}${file}">`,
      )
      .join('');
    if (text !== '') for (const id of chunk.modules) tags[id] = text;
  }
  return tags;
}

/** The files of a chunk and of all that it imports at once. */
function below(
  chunk: ChunkFiles,
  chunks: ReadonlyMap<string, ChunkFiles>,
  seen = new Set<string>(),
): readonly string[] {
  if (seen.has(chunk.fileName)) return [];
  seen.add(chunk.fileName);
  const others = chunk.imports.flatMap((name) => chunks.get(name) ?? []);
  return [chunk.fileName, ...chunk.css, ...others.flatMap((other) => below(other, chunks, seen))];
}
