import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import type { File } from '@babel/types';
import { appendMember, scriptStyle, type Insertion } from './insert.ts';
import type { NewEntry } from './new-entry.ts';
import { objectsIn, parseScript, toWritten, type WrittenMember, type WrittenObject } from './source-tree.ts';

/** The object in an app's code that names the page of each entry. */
export interface WrittenPages {
  readonly file: string;
  readonly text: string;
  readonly object: WrittenObject;
  /** Where the part of the file begins that is a script. */
  readonly shift: number;
  readonly script: File;
}

/** What is changed and written for a page. */
export interface PageChange {
  readonly file: string;
  readonly insertions: readonly Insertion[];
  readonly page: { readonly file: string; readonly text: string };
}

const passedOver = /^(?:\.|node_modules$|dist$|build$|coverage$)/u;

/** The files below a folder whose names end in one of these ways. */
export function filesBelow(folder: string, endings: RegExp): readonly string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap((item) => {
    const place = path.join(folder, item.name);
    if (item.isDirectory()) return passedOver.test(item.name) ? [] : filesBelow(place, endings);
    return item.isFile() && endings.test(item.name) ? [place] : [];
  });
}

/** Finds the pages of the stage: of all objects in the app's code, the one that has the most ids of entries as its names. */
export function findStagePages(folder: string, ids: ReadonlySet<string>): WrittenPages | null {
  let best: WrittenPages | null = null;
  let most = 0;
  for (const file of filesBelow(folder, /(?<!\.d|\.test|\.config)\.(?:[cm]?[jt]sx?|vue)$/u)) {
    const text = readFileSync(file, 'utf8');
    const shift = file.endsWith('.vue') ? scriptStart(text) : 0;
    const source = file.endsWith('.vue') ? (text.slice(shift).split('</script', 1)[0] ?? '') : text;
    // Only what could be it is worth reading.
    if (!/\bpages\b|\blazyPage\b/u.test(source)) continue;
    let script: File;
    try {
      script = parseScript(source, file);
    } catch {
      // A file in another language, or one that is being written, is not where to add anything.
      continue;
    }
    for (const node of objectsIn(script)) {
      const object = toWritten(node, -shift) as WrittenObject;
      const count = object.members.filter(({ name, value }) => ids.has(name) && value.kind === 'other').length;
      if (count > most) {
        most = count;
        best = { file, text, object, shift, script };
      }
    }
  }
  return best;
}

function scriptStart(text: string): number {
  const open = /<script\b[^>]*>/u.exec(text);
  return open ? open.index + open[0].length : text.length;
}

/** The page of an entry, as the pages beside it are written; null if none of them is written in a way that is known. */
export function pageChange({ file, text, object, shift, script }: WrittenPages, entry: NewEntry): PageChange | null {
  const sourceOf = ({ value }: WrittenMember) => text.slice(value.start, value.end);
  const lazy = object.members.findLast((member) =>
    /^\w+\(\s*\(\)\s*=>\s*import\(\s*(['"])\.[^'"]*\1\s*\)\s*\)$/u.test(sourceOf(member)),
  );
  const name = scriptStyle.name(entry.id);
  if (lazy) {
    const source = sourceOf(lazy);
    const imported = /import\(\s*['"]([^'"]+)/u.exec(source)?.[1] ?? '';
    const own = ownSpecifier(imported, entry.id);
    const member = `${name}: ${source.replace(imported, () => own)}`;
    return { file, insertions: [appendMember(text, object, member)], page: pageFile(file, own, imported, entry) };
  }
  for (const member of object.members.toReversed()) {
    const imports = script.program.body.filter((statement) => statement.type === 'ImportDeclaration');
    const found = imports.find(({ source, specifiers }) => {
      const [first] = specifiers;
      return (
        source.value.startsWith('.') &&
        first?.type === 'ImportDefaultSpecifier' &&
        first.local.name === sourceOf(member)
      );
    });
    const last = imports.at(-1);
    if (!found || !last) continue;
    const own = ownSpecifier(found.source.value, entry.id);
    const component = componentName(entry.id);
    const written = text.slice((found.start ?? 0) + shift, (found.end ?? 0) + shift);
    const line = written.replace(sourceOf(member), component).replace(found.source.value, () => own);
    return {
      file,
      insertions: [
        { offset: (last.end ?? 0) + shift, text: `\n${line}` },
        appendMember(text, object, `${name}: ${component}`),
      ],
      page: pageFile(file, own, found.source.value, entry),
    };
  }
  return null;
}

/** The import of the new page, beside the one of another page, and named in its way. */
function ownSpecifier(other: string, id: string): string {
  const extension = path.posix.extname(other);
  const base = path.posix.basename(other, extension);
  const isPascal = /^[A-Z]/u.test(base);
  const suffix = /(?:[-_.]?page)$/iu.exec(base)?.[0] ?? '';
  const own = isPascal ? componentName(id).replace(/Page$/u, '') : id;
  return `${path.posix.dirname(other)}/${own}${suffix}${extension}`;
}

function componentName(id: string): string {
  const words = id.split(/[^A-Za-z\d]+/u).filter(Boolean);
  return `${words.map((word) => word.slice(0, 1).toUpperCase() + word.slice(1)).join('')}Page`;
}

function pageFile(from: string, specifier: string, other: string, entry: NewEntry): PageChange['page'] {
  const folder = path.dirname(from);
  // A specifier may have no ending: then the file beside it says which.
  const endings = ['', '.tsx', '.jsx', '.vue', '.ts', '.js'];
  const ending =
    endings.find((each) => existsSync(path.join(folder, other + each)) && path.extname(other + each) !== '') ?? '.tsx';
  const file = path.join(folder, specifier + ending);
  const label = entry.label
    .replaceAll('&', '&amp;')
    .replaceAll('<', '&lt;')
    .replace(/[{}]/gu, (brace) => `&#${brace.charCodeAt(0)};`);
  if (file.endsWith('.vue')) return { file, text: `<template>\n  <h1>${label}</h1>\n</template>\n` };
  return { file, text: `export default function ${componentName(entry.id)}() {\n  return <h1>${label}</h1>;\n}\n` };
}
