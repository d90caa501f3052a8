import { Option } from 'commander';
import { outputColors as colors } from '../colors.ts';
import { printable } from '../printable.ts';
import type { Finding, Level } from './finding.ts';
import { toSarif } from './sarif.ts';

export const reportFormats = ['text', 'json', 'sarif'] as const;
export const failOnLevels = ['error', 'warning', 'never'] as const;

export interface ReportOptions {
  readonly format: (typeof reportFormats)[number];
  readonly failOn: (typeof failOnLevels)[number];
}

export function formatOption(): Option {
  return new Option('--format <FORMAT>', 'how to print it').choices(reportFormats).default('text');
}

export function failOnOption(): Option {
  return new Option('--fail-on <LEVEL>', 'from which level on to exit with 1').choices(failOnLevels).default('error');
}

/** Prints the findings, and sets the exit code: 1 where one of them is at the level to fail on, or above. */
export function report(findings: readonly Finding[], { format, failOn }: ReportOptions, version: string): void {
  const count = (level: Level) => findings.filter((finding) => finding.severity === level).length;
  const summary = { error: count('error'), warning: count('warning'), note: count('note') };
  const writers = {
    text: () => toText(findings, summary),
    json: () => JSON.stringify({ findings, summary }, null, 2),
    sarif: () => JSON.stringify(toSarif(findings, version), null, 2),
  };
  process.stdout.write(`${writers[format]()}\n`);
  const counted = { error: summary.error, warning: summary.error + summary.warning, never: 0 }[failOn];
  if (counted > 0) process.exitCode = 1;
}

const paints = { error: colors.red, warning: colors.yellow, note: colors.green };

function toText(findings: readonly Finding[], summary: Readonly<Record<Level, number>>): string {
  const lines = findings.map(({ code, severity: level, message, remedy, file, pointer, line, column }) => {
    const place = line === null ? printable(file) : `${printable(file)}:${line}:${column ?? 1}`;
    const words = [printable(message), printable(remedy)].filter(Boolean).join(' ');
    return `${colors.dim(`${place} ${printable(pointer) || '/'}`)}\n  ${paints[level](level)} ${words} [${code}]`;
  });
  const counts = (['error', 'warning', 'note'] as const)
    .filter((level) => summary[level] > 0)
    .map((level) => `${summary[level]} ${level}${summary[level] === 1 ? '' : 's'}`);
  return [...lines, counts.join(', ') || 'No problems found.'].join('\n');
}
