import type { BrowserContextOptions } from 'playwright-core';
import { Failure } from '../failure.ts';
import { readJson } from '../input/json-document.ts';
import { readText } from '../input/read-file.ts';
import { printable } from '../printable.ts';

export type Storage = Exclude<BrowserContextOptions['storageState'], string | undefined>;

/**
 * Cookies and local storage of a visitor, as Playwright keeps them (`storageState`). What it has for one origin alone is for the
 * one that is walked, since a folder is served at another port each time.
 *
 * @throws Failure where it is no such file
 */
export function readStorage(file: string, origin: string): Storage {
  const shown = printable(file);
  const { value } = readJson(readText(file), shown);
  if (!isStorage(value)) {
    throw new Failure(
      'storage-syntax',
      `${shown}: an object with a list "cookies" and a list "origins" is needed, as Playwright’s storageState() writes it.`,
    );
  }
  const { cookies = [], origins = [] } = value;
  const { hostname } = new URL(origin);
  return {
    cookies: cookies.map((cookie) => ({ ...cookie, domain: hostname })),
    origins: origins.map((one) => (origins.length === 1 ? { ...one, origin } : one)),
  };
}

function isStorage(value: unknown): value is Partial<Storage> {
  if (typeof value !== 'object' || value === null || !('cookies' in value || 'origins' in value)) return false;
  const { cookies = [], origins = [] } = value as Readonly<Record<string, unknown>>;
  const isNamed = (one: unknown) => typeof (one as { name?: unknown } | null)?.name === 'string';
  return (
    Array.isArray(cookies) &&
    cookies.every(isNamed) &&
    Array.isArray(origins) &&
    origins.every((one: { localStorage?: unknown } | null) => {
      return Array.isArray(one?.localStorage) && one.localStorage.every(isNamed);
    })
  );
}
