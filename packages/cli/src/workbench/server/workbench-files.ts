import { accessSync, constants, existsSync, readFileSync, statSync } from 'node:fs';
import path from 'node:path';
import { checkSite } from 'fair-trail';
import { readTokens, type Theme } from 'fair-trail/color';
import { readText } from '../../input/read-file.ts';
import { printable } from '../../printable.ts';
import { writeFiles, type OutputFile } from '../../writers/write-files.ts';
import { readJsonText } from '../model/json-text.ts';
import { emptyTokens } from '../model/token-edits.ts';
import type { SaveOutcome, SaveRequest, WorkbenchFile } from './workbench-state.ts';

/** A mark of the encoding, which some editors put before a text. It is no part of what is edited, and stays. */
const byteOrderMark = '\uFEFF';

/** The files of a workbench. Nothing else is ever written. */
export class WorkbenchFiles {
  readonly #site: string;
  readonly #tokens: string | null;

  constructor(site: string, tokens: string | null) {
    this.#site = site;
    this.#tokens = tokens;
  }

  /** Whether the site file is a module, which is no data that could be edited. */
  get isModule(): boolean {
    return /\.[cm]?[jt]s$/u.test(this.#site);
  }

  /** The paths of both files. */
  get paths(): readonly string[] {
    return this.#tokens === null ? [this.#site] : [this.#site, this.#tokens];
  }

  /** @throws Failure if the file is not there, or is no text */
  site(): WorkbenchFile {
    const name = printable(this.#site);
    if (this.isModule) {
      const locked = `${name} is a program: its pages and menus are changed in its source. Looks and options can be tuned here.`;
      return { name, text: null, locked, isNew: false };
    }
    return this.#read(this.#site, name);
  }

  /** The tokens file. One that is not there yet is made when it is saved. */
  tokens(): WorkbenchFile {
    const file = this.#tokens;
    if (file === null) {
      const locked = 'No tokens file was named. Start again with --theme tokens.json to save the looks.';
      return { name: null, text: emptyTokens, locked, isNew: true };
    }
    const name = printable(file);
    if (existsSync(file)) return this.#read(file, name);
    const folder = path.dirname(path.resolve(file));
    const locked = existsSync(folder)
      ? lockOf(folder, `The folder of ${name}`)
      : `There is no folder for ${name}. Make it.`;
    return { name, text: emptyTokens, locked, isNew: true };
  }

  #read(file: string, name: string): WorkbenchFile {
    const text = readText(file).replace(/^\uFEFF/u, '');
    const [first, second] = readFileSync(file);
    const isPacked = first === 0x1f && second === 0x8b;
    return {
      name,
      text,
      locked: isPacked ? `${name} is compressed. Unpack it to edit it.` : lockOf(file, name),
      isNew: false,
    };
  }

  /**
   * Writes what the page has, all of it or none. A file that is another one than the edits are based on is left alone.
   *
   * @throws Failure where a file cannot be written; then none has been
   */
  save({ texts, bases }: SaveRequest): SaveOutcome {
    const files: OutputFile[] = [];
    for (const [kind, file] of [
      ['site', this.#site],
      ['tokens', this.#tokens],
    ] as const) {
      const text = texts[kind];
      if (text === null) continue;
      const now = kind === 'site' ? this.site() : this.tokens();
      if (file === null || now.locked !== null)
        return { outcome: 'refused', message: now.locked ?? 'It cannot be saved.' };
      if (now.text !== bases[kind]) return { outcome: 'changed' };
      const message = kind === 'site' ? wrongSite(text) : wrongTokens(text);
      if (message !== null) return { outcome: 'refused', message: `${now.name ?? ''}: ${message}` };
      files.push({ path: file, text: beginning(file) + text });
    }
    if (files.length > 0) writeFiles(files, true);
    return { outcome: 'saved' };
  }
}

function beginning(file: string): string {
  return existsSync(file) && readFileSync(file, 'utf8').startsWith(byteOrderMark) ? byteOrderMark : '';
}

/** Why it cannot be written; null if it can. */
function lockOf(place: string, name: string): string | null {
  try {
    accessSync(place, constants.W_OK);
    // An administrator may write everything; what nobody is meant to write is left alone all the same.
    if ((statSync(place).mode & 0o222) !== 0) return null;
    throw new Error('read-only');
  } catch {
    return `${name} is read-only. Make it writable to save changes.`;
  }
}

/** What keeps a text from being a site file; null if nothing does. */
function wrongSite(text: string): string | null {
  const read = readJsonText(text);
  if (!read) return 'this is not JSON.';
  const fatal = checkSite(read.value).problems.find(({ severity }) => severity === 'fatal');
  return fatal ? `${fatal.pointer}: ${fatal.message} ${fatal.remedy}` : null;
}

function wrongTokens(text: string): string | null {
  const read = readJsonText(text);
  if (!read) return 'this is not JSON.';
  const [problem] = readTokens(read.value, {} as Theme).problems;
  return problem ? `${problem.pointer}: ${problem.message}` : null;
}
