import { escapeXml } from 'fair-trail/internal/core';
import type { AuditReport, ReportedFinding, UncheckedRule } from '../audit-report.ts';
import type { Picture } from '../picture.ts';
import { flattened } from '../causes.ts';
import { summaryHtml } from './summary-html.ts';
import { described } from './described.ts';
import { htmlReportStyle } from './html-report-style.ts';
import { uncheckedGroups } from './unchecked-groups.ts';

const words = { error: 'Errors', warning: 'Warnings', advice: 'Advice' } as const;
const severities = ['error', 'warning', 'advice'] as const;

/** One file for looking: it needs nothing else, runs no script, and prints. All text of the pages is escaped. */
export function toHtml(report: AuditReport, pictureOf: (finding: ReportedFinding) => Picture | null): string {
  const { tool, target, pages, findings, notChecked, summary } = report;
  const sections = severities.filter((severity) => summary[severity] > 0);
  const numbered = findings.map((finding, index) => ({ finding, id: `finding-${index + 1}` }));
  const items = [
    { id: 'summary', label: 'Summary', count: null },
    ...sections.map((severity) => ({ id: severity, label: words[severity], count: summary[severity] })),
    { id: 'not-checked', label: 'Not checked', count: notChecked.length },
    { id: 'pages', label: 'Pages', count: pages.length },
  ];
  return `<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>Navigation audit of ${escapeXml(target)}</title>
<meta name="viewport" content="width=device-width, initial-scale=1">
<style>${htmlReportStyle}</style>
</head>
<body>
<a class="skip" href="#report">Skip to the report</a>
<header>
<h1>Navigation audit</h1>
<p class="target">${escapeXml(target)}</p>
<p>${verdict(report)}</p>
<nav aria-label="Parts of the report"><ul>${items
    .map(
      ({ id, label, count }) =>
        `<li><a href="#${id}">${label}${count === null ? '' : ` <span class="count">${count}</span>`}</a></li>`,
    )
    .join('')}</ul></nav>
</header>
<main id="report" tabindex="-1">
${summaryHtml(report)}
${sections
  .map(
    (severity) => `<section aria-labelledby="${severity}">
<h2 id="${severity}" class="${severity}">${words[severity]}</h2>
${numbered
  .filter(({ finding }) => finding.severity === severity)
  .map(({ finding, id }) => findingHtml(finding, id, pictureOf(finding)))
  .join('\n')}
</section>`,
  )
  .join('\n')}
<section aria-labelledby="not-checked">
<h2 id="not-checked">Not checked</h2>
${notCheckedHtml(notChecked)}
</section>
<section aria-labelledby="pages">
<h2 id="pages">Pages</h2>
<ol class="pages">${pages.map(({ url, title }) => `<li>${escapeXml(title) || '(no title)'} <code>${escapeXml(url)}</code></li>`).join('')}</ol>
</section>
</main>
<footer><p>Made by ${escapeXml(tool.name)} ${escapeXml(tool.version)}.</p></footer>
</body>
</html>`;
}

function verdict({ pages, findings, summary }: AuditReport): string {
  const on = `on ${pages.length} ${pages.length === 1 ? 'page' : 'pages'}`;
  if (findings.length === 0) return `Nothing was found ${on}. What could not be tried is listed below.`;
  const errors = `${summary.error} ${summary.error === 1 ? 'error' : 'errors'}`;
  const warnings = `${summary.warning} ${summary.warning === 1 ? 'warning' : 'warnings'}`;
  return `${errors}, ${warnings} and ${summary.advice} advice ${on}.`;
}

function findingHtml(finding: ReportedFinding, id: string, picture: Picture | null): string {
  const { code, message, html, selector, width, state, wcag, remedy, pages, certainty, steps = [] } = finding;
  const affects = described.find((one) => one.id === code)?.affects ?? '';
  const criteria = wcag.length > 0 ? `<dt>WCAG 2.2</dt><dd>${escapeXml(wcag.join(', '))}</dd>` : '';
  return `<article aria-labelledby="${id}">
<h3 id="${id}">${escapeXml(message)}</h3>
<p class="rule"><code>${escapeXml(code)}</code>${certainty === 'likely' ? ' <span class="likely">likely</span>' : ''}</p>
${picture ? pictureHtml(picture, message) : ''}
<pre tabindex="0" role="region" aria-label="The element of “${escapeXml(code)}”"><code>${escapeXml(html)}</code></pre>
<dl>
<dt>Whom it affects</dt><dd>${escapeXml(affects)}</dd>
<dt>How to fix it</dt><dd>${escapeXml(remedy)}</dd>
${criteria}
<dt>Where</dt><dd>${width} px wide, ${escapeXml(state)}; <code>${escapeXml(selector)}</code></dd>${
    steps.length > 0
      ? `
<dt>To see it</dt><dd>At ${width} px, ${escapeXml(steps.join(', '))}</dd>`
      : ''
  }${becauseHtml(finding)}
<dt>On</dt><dd>${pagesHtml(pages)}</dd>
</dl>
</article>`;
}

/** What goes away with it. */
function becauseHtml({ consequences = [] }: ReportedFinding): string {
  if (consequences.length === 0) return '';
  const items = flattened(consequences).map(
    ({ code, message }) => `<li>${escapeXml(message)} <code>${escapeXml(code)}</code></li>`,
  );
  return `\n<dt>Because of this</dt><dd><ul>${items.join('')}</ul></dd>`;
}

/** The frame is drawn over the picture, and not on the page, which was left as it is. */
function pictureHtml({ data, width, height, frame }: Picture, message: string): string {
  const margin = 4;
  const drawn = frame
    ? `<rect class="frame" x="${frame.left - margin}" y="${frame.top - margin}" width="${frame.width + 2 * margin}" height="${frame.height + 2 * margin}"/>`
    : '';
  return `<svg class="picture" role="img" aria-label="The page: ${escapeXml(message)}" viewBox="0 0 ${width} ${height}" style="max-width:${width}px"><image href="data:image/jpeg;base64,${data}" width="${width}" height="${height}"/>${drawn}</svg>`;
}

/** More of them are reported as a number. */
const mostPages = 20;

function pagesHtml(pages: readonly string[]): string {
  const shown = pages.slice(0, mostPages).map((page) => `<code>${escapeXml(page)}</code>`);
  const left = pages.length - shown.length;
  return [...shown, ...(left > 0 ? [`and ${left} more`] : [])].join(', ');
}

function notCheckedHtml(notChecked: readonly UncheckedRule[]): string {
  if (notChecked.length === 0) return '<p>Everything was tried.</p>';
  const rows = uncheckedGroups(notChecked).map(({ rules, pages, reason }) => {
    const names = rules.map((rule) => `<code>${escapeXml(rule)}</code>`).join(' ');
    return `<tr><td>${escapeXml(reason)}</td><td>${names || 'all'}</td><td>${pagesHtml(pages)}</td></tr>`;
  });
  return `<p>Checks that could not be made. They do not count as passed.</p>
<div class="table" tabindex="0" role="region" aria-labelledby="not-checked"><table><thead><tr><th scope="col">Why not</th><th scope="col">Rules</th><th scope="col">On</th></tr></thead><tbody>${rows.join('')}</tbody></table></div>`;
}
