import { hrefKind } from './address.ts';
import type { Entry } from './entry.ts';
import { below, type FieldLocation } from './fields.ts';
import { placeholdersIn } from './labels.ts';
import type { ProblemCode } from './problem-codes.ts';
import { problem } from './problems.ts';
import type { Texts } from './texts.ts';

/** A link is to a page of the site or to a place elsewhere, in every language. */
export function checkKinds(hrefs: Texts, own: string, place: FieldLocation): void {
  for (const [language, href] of Object.entries(hrefs)) {
    if (hrefKind(href) === hrefKind(own)) continue;
    place.problems.push(problem('hrefs-differ', below(place, language).pointer, { value: href, other: own }));
  }
}

function report(place: FieldLocation, code: ProblemCode, field: string, details: Parameters<typeof problem>[2]): void {
  place.problems.push(problem(code, below(place, field).pointer, details));
}

/** What can be wrong with an entry as a whole, once its fields are read. */
export function checkEntry(
  object: Readonly<Record<string, unknown>>,
  entry: Entry,
  own: string,
  place: FieldLocation,
): void {
  const hasPath = (entry.templates[own]?.length ?? 0) > 0;
  // After a problem with the href itself, whatever depends on it would only repeat that problem.
  if (!hasPath && !entry.outside && Object.hasOwn(object, 'href') && object['href'] !== undefined) return;
  for (const field of ['aliases', 'movedFrom', 'query', 'records', 'planned'] as const) {
    if (!hasPath && Object.hasOwn(object, field) && object[field] !== undefined) {
      report(place, 'needs-path', field, { value: field });
    }
  }
  if (entry.records !== null && hasPath && entry.paramNames.length === 0) {
    report(place, 'records-without-params', 'records', { value: entry.records });
  }
  const texts = Object.values(entry.labels).filter((text) => text.includes('{'));
  if (texts.length === 0) return;
  const unknown = new Set(texts.flatMap(placeholdersIn));
  for (const name of entry.paramNames) unknown.delete(name);
  const expected = entry.paramNames.map((param) => `{${param}}`).join(', ');
  for (const name of unknown) {
    report(place, 'unknown-placeholder', 'label', { value: name, other: 'label', ...(expected && { expected }) });
  }
}
