import { standards } from './all-standards.ts';
import type { Standard, Statement } from './statement.ts';

/** The page of the documentation that lists every sentence with what checks it. */
export function standardsPage(): string {
  const all = standards.flatMap(({ statements }) => statements);
  const checked = all.filter(({ rules }) => rules.length > 0).length;
  return [
    '# What the standards say, and what the audit checks',
    '',
    'Look up a sentence of a standard, and see which rules of the [audit](audit.md) check it. Where none does, the page says why.',
    '',
    `It lists ${all.length} sentences on navigation; ${checked} have at least one rule. Written by \`node scripts/rule-pages.mjs\`.`,
    '',
    ...standards.flatMap(sectionOf),
  ].join('\n');
}

function sectionOf({ name, statements }: Standard): readonly string[] {
  return [
    `## ${name}`,
    '',
    '| section | what it asks | checked by | cannot be decided |',
    '| --- | --- | --- | --- |',
    ...statements.map(rowOf),
    '',
  ];
}

function rowOf({ section, text, rules, undecided = '' }: Statement): string {
  return `| ${section} | ${text} | ${rules.map((id) => `[${id}](rules/${id}.md)`).join(', ')} | ${undecided} |`;
}
