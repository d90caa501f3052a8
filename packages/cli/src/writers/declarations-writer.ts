/**
 * Declarations for a site file in JSON, as `name.site.d.json.ts` beside it: with `allowArbitraryExtensions` the compiler
 * then knows the ids and params of an imported file as it knows those of one written in TypeScript.
 */
export function toDeclarations(definition: unknown): string {
  return [
    '// Made by "fair-trail convert" from the site file beside it. Make it again when that changes.',
    `declare const definition: ${toType(definition)};`,
    'export default definition;',
    '',
  ].join('\n');
}

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
