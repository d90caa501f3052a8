import { toType } from 'fair-trail/internal/core';

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
