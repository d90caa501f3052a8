import { addressOfTemplate } from './entry-templates.ts';
import { writeTemplate } from './path-template.ts';
import { decodeSegment } from './encoding.ts';
import { namesOf, type Path, type Segment } from './path.ts';
import type { Site } from './site.ts';

/** No one writes it, so only a param or a wildcard takes it. */
const unwritten = '\u2060';

/** Stands for any value of a param; long enough for several params that stand side by side. */
const anyValue = unwritten.repeat(8);

/**
 * Addresses that the path takes, with a stand-in for each param; a wildcard stands for one segment, for several, and
 * for none.
 */
export function sampleAddresses(site: Site, path: Path, language: string): readonly string[] {
  const template = writeTemplate(path);
  const names = path.flatMap(namesOf);
  const wildcards = new Set(path.flatMap(wildcardsOf));
  const values = wildcards.size === 0 ? [anyValue] : [anyValue, `${anyValue}/${anyValue}/${anyValue}`, ''];
  const samples = values.flatMap((value) => {
    const params = Object.fromEntries(names.map((name) => [name, wildcards.has(name) ? value : anyValue]));
    return addressOfTemplate(site, template, params, language) ?? [];
  });
  return [...new Set(samples)];
}

function wildcardsOf(segment: Segment): string[] {
  if (segment.kind === 'wildcard') return [segment.name];
  if (segment.kind !== 'tail') return [];
  return segment.tokens.flatMap((token) => (token.kind === 'wildcard' ? [token.name] : []));
}

/** A sample as people read it. */
export function readableSample(address: string): string {
  return address
    .split('/')
    .map(decodeSegment)
    .join('/')
    .replaceAll(/\u2060+/gu, '…');
}
