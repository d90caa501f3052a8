import type { Entry } from './entry.ts';
import { addressOfTemplate, hasAll, templatesOf } from './entry-templates.ts';
import { nearest } from './nearest.ts';
import type { Params } from './path-template.ts';
import { everyEntry, type Site } from './site.ts';

/** Says why the address of an entry cannot be written. A production build has `href-reason.production.ts` in its place. */
export function reasonForNoHref(site: Site, id: string, language: string, params: Params): string {
  const entry = site.entry(id);
  if (!entry) return `The site has no entry with the id "${id}".${suggestion(site, id)}`;
  if (entry.href === null) return `The entry "${id}" is a group without an address.`;
  return `The address "${entry.href}" of "${id}" cannot be written: ${reasonOf(site, entry, params, language)}`;
}

function reasonOf(site: Site, entry: Entry, params: Params, language: string): string {
  for (const template of templatesOf(site, entry, language)) {
    const address = addressOfTemplate(site, template, params, language);
    if (address === null || !hasAll(entry, template, params)) continue;
    const match = site.find(address)?.match;
    if (match?.exact && match.entry !== entry) return `"${address}" is the address of "${match.entry.id}".`;
    return `"${address}" does not lead back to these params.`;
  }
  const names = entry.paramNames.filter((name) => !entry.query.includes(name)).map((name) => `"${name}"`);
  return `give ${names.join(', ')}, none of them empty, "." or "..".`;
}

function suggestion(site: Site, id: string): string {
  const other = nearest(
    id,
    [...everyEntry(site.entries)].map((entry) => entry.id),
  );
  return other === undefined ? '' : ` Did you mean "${other}"?`;
}
