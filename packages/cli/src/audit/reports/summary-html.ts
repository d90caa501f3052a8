import { escapeXml } from 'fair-trail/internal/core';
import type { AuditReport, ReportedFinding } from '../audit-report.ts';
import { flattened } from '../causes.ts';
import { criterionName } from '../criteria.ts';
import { described } from './described.ts';

/** Groups of people whom defects affect, and the words by which a rule names them. */
const groups: readonly (readonly [name: string, words: RegExp])[] = [
  ['Everyone', /\beveryone\b/iu],
  ['Screen reader users', /screen reader|by landmarks|notice the new window/iu],
  ['Keyboard and switch users', /keyboard|switch|access keys/iu],
  ['People with low vision', /low vision|zoom|enlarge|small window|sunlight|perceive colors|more space between/iu],
  ['Speech input users', /speech input/iu],
  ['People who have trouble pointing', /tremor|touch|phone|drag|swipe|aim|wheelchair/iu],
  ['People who need time or calm to read', /longer to read|movement|need help/iu],
];

/** One page for those who decide: how many pages, who is affected, and which criteria are failed. */
export function summaryHtml({ pages, findings }: AuditReport): string {
  const all = flattened(findings);
  const failing = all.filter(({ severity }) => severity !== 'advice');
  const affectedPages = new Set(failing.flatMap((finding) => finding.pages));
  const share = `${affectedPages.size} of ${pages.length} ${pages.length === 1 ? 'page' : 'pages'}`;
  if (all.length === 0)
    return '<section aria-labelledby="summary"><h2 id="summary">Summary</h2><p>Nothing was found.</p></section>';
  return `<section aria-labelledby="summary">
<h2 id="summary">Summary</h2>
<p>${share} ${affectedPages.size === 1 ? 'has' : 'have'} errors or warnings. ${findings.length} ${findings.length === 1 ? 'cause is' : 'causes are'} to be fixed${all.length > findings.length ? `; ${all.length - findings.length} more findings go away with them` : ''}.</p>
${tableHtml('Who is affected', ['People', 'Causes', 'Pages'], rowsOfPeople(findings))}
${tableHtml('Criteria of WCAG 2.2 that are failed', ['Criterion', 'Causes', 'Surely'], rowsOfCriteria(findings))}
</section>`;
}

function rowsOfPeople(findings: readonly ReportedFinding[]): readonly (readonly string[])[] {
  return groups.flatMap(([name, words]) => {
    const own = findings.filter(({ code }) => words.test(described.find(({ id }) => id === code)?.affects ?? ''));
    const pages = new Set(own.flatMap((finding) => finding.pages));
    return own.length === 0 ? [] : [[name, String(own.length), String(pages.size)]];
  });
}

function rowsOfCriteria(findings: readonly ReportedFinding[]): readonly (readonly string[])[] {
  const ids = [...new Set(findings.flatMap(({ wcag }) => wcag))];
  const numbers = (id: string) => id.split('.').map(Number);
  return ids
    .toSorted((one, other) => {
      const [a, b] = [numbers(one), numbers(other)];
      return (a[0] ?? 0) - (b[0] ?? 0) || (a[1] ?? 0) - (b[1] ?? 0) || (a[2] ?? 0) - (b[2] ?? 0);
    })
    .map((id) => {
      const own = findings.filter(({ wcag }) => wcag.includes(id));
      const sure = own.filter(({ certainty }) => certainty === 'sure').length;
      return [`${id} ${criterionName(id)}`, String(own.length), String(sure)];
    });
}

function tableHtml(caption: string, heads: readonly string[], rows: readonly (readonly string[])[]): string {
  if (rows.length === 0) return '';
  const cells = rows.map(
    ([first = '', ...others]) =>
      `<tr><th scope="row">${escapeXml(first)}</th>${others.map((cell) => `<td>${escapeXml(cell)}</td>`).join('')}</tr>`,
  );
  const head = heads.map((name) => `<th scope="col">${escapeXml(name)}</th>`).join('');
  return `<table class="summary"><caption>${escapeXml(caption)}</caption><thead><tr>${head}</tr></thead><tbody>${cells.join('')}</tbody></table>`;
}
