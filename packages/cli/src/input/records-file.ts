import type { SiteRecord, SiteRecords } from 'fair-trail';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';
import { readJson } from './json-document.ts';
import { readText } from './read-file.ts';

/**
 * Records from a JSON file: `{ "species": [{ "params": { "slug": "curlew" }, "label": "Curlew" }] }`.
 *
 * @throws Failure that names the first place that is not so
 */
export function readRecords(file: string): SiteRecords {
  const shown = printable(file);
  const { value, offsetOf, placeOf } = readJson(readText(file), shown);
  const refuse = (pointer: string, expected: string): never => {
    const { line, column } = placeOf(offsetOf(pointer));
    throw new Failure('records-syntax', `${shown}:${line}:${column} ${pointer || '/'}: ${expected} is needed here.`);
  };
  if (!isObject(value)) return refuse('', 'an object with a list for each name of records');
  const lists = Object.entries(value).map(([name, list]) => {
    if (!Array.isArray(list)) return refuse(`/${name}`, 'a list of records');
    return [name, list.map((record, index) => readRecord(record, `/${name}/${index}`, refuse))] as const;
  });
  return Object.fromEntries(lists);
}

function readRecord(value: unknown, pointer: string, refuse: (pointer: string, expected: string) => never): SiteRecord {
  if (!isObject(value)) return refuse(pointer, 'an object with "params"');
  const { params, label } = value;
  if (!isObject(params)) return refuse(`${pointer}/params`, 'an object with a text for each param');
  const texts = Object.entries(params).map(([name, text]) => {
    return typeof text === 'string' ? ([name, text] as const) : refuse(`${pointer}/params/${name}`, 'text');
  });
  if (label !== undefined && typeof label !== 'string') return refuse(`${pointer}/label`, 'text');
  return { params: Object.fromEntries(texts), ...(label !== undefined && { label }) };
}

function isObject(value: unknown): value is Readonly<Record<string, unknown>> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
