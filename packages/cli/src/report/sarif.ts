import { pathToFileURL } from 'node:url';
import path from 'node:path';
import type { Finding } from './finding.ts';

/** Findings as a log of the Static Analysis Results Interchange Format, version 2.1.0 (OASIS). */
export function toSarif(findings: readonly Finding[], version: string): object {
  const pages = new Map(findings.map(({ code, page }) => [code, page]));
  const codes = [...pages.keys()];
  return {
    $schema: 'https://json.schemastore.org/sarif-2.1.0.json',
    version: '2.1.0',
    runs: [
      {
        tool: { driver: { name: 'fair-trail', version, rules: [...pages].map(([id, helpUri]) => ({ id, helpUri })) } },
        columnKind: 'utf16CodeUnits',
        results: findings.map((finding) => toResult(finding, codes.indexOf(finding.code))),
      },
    ],
  };
}

function toResult(
  { code, severity: level, message, remedy, file, pointer, line, column }: Finding,
  ruleIndex: number,
): object {
  const region = line === null ? {} : { region: { startLine: line, startColumn: column ?? 1 } };
  const physicalLocation = { artifactLocation: { uri: uriOf(file) }, ...region };
  return {
    ruleId: code,
    ruleIndex,
    level,
    message: { text: [message, remedy].filter(Boolean).join(' ') },
    locations: [{ physicalLocation, logicalLocations: [{ fullyQualifiedName: pointer || '/' }] }],
  };
}

/** Relative to where the command runs, as readers of the log expect it; a file elsewhere by its whole address. */
function uriOf(file: string): string {
  const relative = path.relative(process.cwd(), file);
  if (relative.startsWith('..') || path.isAbsolute(relative)) return pathToFileURL(path.resolve(file)).href;
  return relative.split(path.sep).map(encodeURIComponent).join('/');
}
