import { rules } from 'fair-trail/audit';
import type { Probe } from './probe.ts';
import { probes } from './probes/all-probes.ts';

/** What a page about a rule says of it; rules of a document and probes of a browser alike. */
export const documented: readonly (Probe & { readonly isProbe: boolean })[] = [
  ...rules.map((rule) => ({ ...rule, isProbe: false })),
  ...probes.map((probe) => ({ ...probe, isProbe: true })),
];

/** Text as Markdown: an element in it is code, and no markup. */
const asMarkdown = (text: string) =>
  text.replaceAll(/<([a-z]+)[^<>]*>[^<]*<\/\1>|<\/?[a-z][^<>]*>/gu, (element) => `\`${element}\``);

/** The page of a rule in the documentation, made from the rule itself. */
export function rulePage({
  id,
  title,
  severity,
  certainty,
  wcag,
  affects,
  remedy,
  standard,
  isProbe,
}: (typeof documented)[number]): string {
  const level = certainty === 'likely' && severity === 'error' ? 'warning' : severity;
  const criteria = wcag.length > 0 ? wcag.join(', ') : 'none by itself';
  const how = isProbe ? 'found by using the page in a browser' : 'read in the document';
  return [
    `# ${id}`,
    '',
    asMarkdown(title),
    '',
    `- **Level:** ${level}, ${certainty}; ${how}`,
    `- **Success criteria of WCAG 2.2:** ${criteria}`,
    `- **Standard:** ${standard}`,
    '',
    '## Who is affected',
    '',
    asMarkdown(affects),
    '',
    '## How to fix it',
    '',
    asMarkdown(remedy),
    '',
  ].join('\n');
}

/** The list of all of them. */
export function rulesPage(): string {
  const rows = documented.map(
    ({ id, title, wcag }) => `| [${id}](rules/${id}.md) | ${asMarkdown(title)} | ${wcag.join(', ')} |`,
  );
  return ['| rule | what is wrong | WCAG 2.2 |', '| --- | --- | --- |', ...rows].join('\n');
}
