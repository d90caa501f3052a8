import { everyEntry, type DefinedSite } from '../site/site.ts';

type Schema = Readonly<Record<string, unknown>>;

/**
 * A JSON Schema (draft 2020-12) that knows the names of one site, so that an editor offers them: ids of entries, and the audiences and
 * icons that are used already. What it offers may be left: a new name is no mistake.
 *
 * @param schema the schema of all site files
 */
export function siteSchema(site: DefinedSite, schema: Schema): Schema {
  const entries = [...everyEntry(site.entries)];
  const audiences = [...(site.audiences ?? []), ...entries.flatMap((entry) => entry.audiences.flat())];
  const icons = entries.flatMap(({ icon, currentIcon }) => [icon, currentIcon]).filter((name) => name !== null);
  const definitions = schema['$defs'] as Schema;
  const oneOf = (names: readonly string[]) => ({ enum: [...new Set(names)] });
  return {
    ...schema,
    title: `Site file of ${site.name}`,
    $defs: {
      ...definitions,
      // Only what the site has may be referred to.
      entryId: oneOf(entries.map(({ id }) => id)),
      homeId: oneOf(entries.map(({ id }) => id)),
      ...(audiences.length > 0 && { audience: { anyOf: [oneOf(audiences), definitions['name']] } }),
      ...(icons.length > 0 && { icon: { anyOf: [oneOf(icons), definitions['name']] } }),
    },
  };
}
