import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { normalizePath, type Logger } from 'vite';
import { tokensCss, type TokenThemes } from '../core/color/tokens.ts';
import { flexStyles } from '../core/output/flex-styles.ts';
import { declarationsPath, siteDeclarations } from '../core/output/site-declarations.ts';
import type { DefinedSite } from '../core/site/site.ts';
import type { FairTrailOptions } from './options.ts';
import {
  contentOf,
  findSiteFiles,
  libraryFile,
  readSite,
  readTheme,
  type FileProblem,
  type FileToRead,
  type ReadFile,
} from './read-files.ts';

/** What the plugin needs of Vite's configuration. */
export interface ProjectSettings {
  readonly root: string;
  readonly base: string;
  readonly logger: Logger;
  readonly options: FairTrailOptions;
}

/** A file that is followed while the server runs. */
export interface FollowedFile<Value> {
  readonly problems: readonly FileProblem[];
  /** As it was when it was last without a fatal problem; null if it never was. */
  readonly lastGood: Value | null;
  /** What was read last; null if nothing could be. */
  readonly text: string | null;
}

/**
 * The site files and the tokens file of a project, as they are now and as they last were good.
 *
 * Site files are read as modules ask for them; the project has one of its own, which styles, sheet and written pages come from.
 */
export class Project {
  readonly settings: ProjectSettings;
  readonly #sites = new Map<string, FollowedFile<DefinedSite>>();
  #tokens: FollowedFile<TokenThemes> | null = null;
  #siteFile: string | null = null;
  /** What is edited and not saved yet, by the files' paths. */
  readonly #drafts = new Map<string, string>();

  constructor(settings: ProjectSettings) {
    this.settings = settings;
  }

  /**
   * The path of the project's own site file.
   *
   * @throws Error if there is none, or more than one and none is named
   */
  get siteFile(): string {
    return (this.#siteFile ??= this.#findSiteFile());
  }

  /** The path of the tokens file; null if the project has none. */
  get tokensFile(): string | null {
    const { tokens } = this.settings.options;
    return tokens === undefined ? null : this.#absolute(tokens);
  }

  /** As problems name a file: relative to the root, where it is below that. */
  shown(file: string): string {
    return normalizePath(path.relative(this.settings.root, file));
  }

  /** A site file as it was read last; it is read where that has not happened. */
  site(file: string): FollowedFile<DefinedSite> {
    return this.#sites.get(file) ?? this.readSite(file);
  }

  /** Reads a site file again, and writes its declarations. */
  readSite(file: string): FollowedFile<DefinedSite> {
    const { base, options } = this.settings;
    const read = readSite(this.#toRead(file), {
      base: base.startsWith('/') ? base : '/',
      caseSensitive: options.caseSensitive ?? true,
    });
    const followed = follow(read, this.#sites.get(file));
    this.#sites.set(file, followed);
    // What is not saved may never be.
    if (read.value && !this.#drafts.has(file)) this.#writeTypes(file, read.value);
    return followed;
  }

  tokens(): FollowedFile<TokenThemes> | null {
    return this.#tokens ?? this.readTokens();
  }

  /** Reads the tokens file again; null if the project has none. */
  readTokens(): FollowedFile<TokenThemes> | null {
    const file = this.tokensFile;
    if (file === null) return null;
    return (this.#tokens = follow(readTheme(this.#toRead(file)), this.#tokens ?? undefined));
  }

  /**
   * Has a text stand for the content of a file, until it is null again.
   *
   * @returns whether that changes anything
   */
  setDraft(file: string, text: string | null): boolean {
    if ((this.#drafts.get(file) ?? null) === text) return false;
    if (text === null) this.#drafts.delete(file);
    else this.#drafts.set(file, text);
    return true;
  }

  /** The text of a file, as it is read now; null if it cannot be. */
  contentOf(file: string): string | null {
    return this.#drafts.get(file) ?? contentOf(file);
  }

  #toRead(file: string): FileToRead {
    return { path: file, shown: this.shown(file), draft: this.#drafts.get(file) ?? null };
  }

  isSiteFile(file: string): boolean {
    return this.#sites.has(file);
  }

  /** What is wrong with all files now. */
  get problems(): readonly FileProblem[] {
    return [...this.#sites.values(), ...(this.#tokens ? [this.#tokens] : [])].flatMap(({ problems }) => problems);
  }

  /** The styles of the library, of the tokens and of the site: one stylesheet. */
  stylesheet(): string {
    const theme = this.tokens()?.lastGood;
    const site = this.site(this.siteFile).lastGood;
    const own = readFileSync(libraryFile('dist/styles.css'), 'utf8');
    return [own, theme ? tokensCss(theme) : '', site ? flexStyles(site) : ''].filter(Boolean).join('\n');
  }

  #absolute(file: string): string {
    return normalizePath(path.resolve(this.settings.root, file));
  }

  #findSiteFile(): string {
    const { options, root } = this.settings;
    if (options.site !== undefined) return this.#absolute(options.site);
    const [found, ...others] = findSiteFiles(root);
    if (found === undefined) {
      throw new Error(
        'fair-trail: there is no file whose name ends in ".site.json" below the root. Write one, or name it with the option "site".',
      );
    }
    if (others.length === 0) return found;
    const names = [found, ...others].map((file) => this.shown(file)).join(', ');
    throw new Error(`fair-trail: there are several site files: ${names}. Name one of them with the option "site".`);
  }

  #writeTypes(file: string, { definition }: DefinedSite): void {
    const { options, root, logger } = this.settings;
    const types = options.types ?? 'beside';
    if (types === false) return;
    const beside = declarationsPath(file);
    const place =
      types === 'beside'
        ? beside
        : path.resolve(root, types.folder, path.relative(root, beside).replace(/^(?:\.\.[/\\])+/u, ''));
    const text = siteDeclarations(definition, path.basename(file));
    try {
      if (existsSync(place) && readFileSync(place, 'utf8') === text) return;
      mkdirSync(path.dirname(place), { recursive: true });
      writeFileSync(place, text);
    } catch (error) {
      // The app works without: what the editor knows of its names is out of date.
      const { code = 'unknown error' } = error as NodeJS.ErrnoException;
      logger.warn(
        `fair-trail: ${this.shown(place)} cannot be written (${code}). The types of the site stay as they were.`,
      );
    }
  }
}

function follow<Value>(read: ReadFile<Value>, before: FollowedFile<Value> | undefined): FollowedFile<Value> {
  return { problems: read.problems, text: read.text, lastGood: read.value ?? before?.lastGood ?? null };
}
