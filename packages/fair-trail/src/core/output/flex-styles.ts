import { flexName } from '../layout/flex.ts';
import { everyEntry, type Site } from '../site/site.ts';

/**
 * Writes a stylesheet for the `flex` values of a site file, one rule each. The library's stylesheet cannot contain
 * them, and a strict Content-Security-Policy forbids style attributes.
 *
 * @example
 * writeFileSync('src/site.css', flexStyles(site));
 */
export function flexStyles(site: Site): string {
  const values = new Set<string>();
  for (const entry of everyEntry(site.entries)) {
    const name = flexName(entry.flex);
    if (name !== null) values.add(name);
  }
  const rules = [...values].toSorted().map((value) =>
    [
      `  .ft-bar-panel > .ft-menu > .ft-menu-item[data-ft-flex='${value}'] {`,
      // In a column the shorthand would share out heights.
      `    flex: var(--ft-narrow, none) var(--ft-wide, ${value});`,
      '  }',
    ].join('\n'),
  );
  if (rules.length === 0) return '/* No entry of the site asks for a share of the row. */\n';
  return `@layer fair-trail.parts {\n${rules.join('\n\n')}\n}\n`;
}
