import type { SiteDefinition } from '../site/definition.ts';

const noTexts: ReadonlySet<string> = new Set();

/**
 * The type of a value of JSON, literally.
 *
 * @param texts the fields whose text is of no interest: they are `string`, or `object` by language
 */
export function toType(value: unknown, texts: ReadonlySet<string> = noTexts, indent = ''): string {
  const inner = `${indent}  `;
  if (Array.isArray(value)) {
    if (value.length === 0) return 'readonly []';
    const members = (value as unknown[]).map((member) => `${inner}${toType(member, texts, inner)},`);
    return ['readonly [', ...members, `${indent}]`].join('\n');
  }
  if (typeof value === 'object' && value !== null) {
    const fields = Object.entries(value).map(([name, field]) => {
      const type = texts.has(name) ? (typeof field === 'string' ? 'string' : 'object') : toType(field, texts, inner);
      return `${inner}readonly ${JSON.stringify(name)}: ${type};`;
    });
    return fields.length === 0 ? 'Record<never, never>' : ['{', ...fields, `${indent}}`].join('\n');
  }
  return JSON.stringify(value);
}

const labels: ReadonlySet<string> = new Set(['label', 'name']);

/** What no type depends on. */
const details: ReadonlySet<string> = new Set([
  ...['$schema', 'origin', 'language', 'languages', 'home', 'title'],
  ...['aliases', 'movedFrom', 'planned', 'opens', 'summary', 'badge', 'priority', 'flex', 'breadcrumb', 'listed'],
]);

/** The type of a definition, with all that the names in components and calls are checked against, and no more. */
export function definitionType(definition: SiteDefinition): string {
  const needed: unknown = JSON.parse(
    JSON.stringify(definition, (name, value: unknown) => (details.has(name) ? undefined : value)),
  );
  return toType(needed, labels);
}

/**
 * Declarations of the module that a site file is where the plugin of Vite loads it: its default export is the site itself.
 *
 * @param file the name of the site file
 */
export function siteDeclarations(definition: SiteDefinition, file: string): string {
  return [
    `// Made by fair-trail from ${JSON.stringify(file)}, and again whenever that changes. Do not edit it.`,
    "import type { Site } from 'fair-trail';",
    '',
    `declare const site: Site<${definitionType(definition)}>;`,
    'export default site;',
    '',
  ].join('\n');
}

/** Where the declarations of a JSON file are, beside it: TypeScript finds `name.d.json.ts` for an import of `name.json`. */
export function declarationsPath(file: string): string {
  return file.replace(/\.json$/u, '.d.json.ts');
}
