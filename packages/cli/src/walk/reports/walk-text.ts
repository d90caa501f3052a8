import { outputColors as colors } from '../../colors.ts';
import { printable } from '../../printable.ts';
import { faultKinds, type Blame } from '../faults.ts';
import type { NotJudgedPart, WalkFault, WalkReport } from '../walk-report.ts';

const titles: Readonly<Record<Blame, string>> = {
  page: 'Wrong in the pages',
  'site file': 'Wrong in the site file',
  unclear: 'Pages and site file disagree',
};

/** For a terminal. What comes from the pages moves no cursor there. */
export function toText(report: WalkReport): string {
  const { faults, notJudged } = report;
  const groups = (['page', 'site file', 'unclear'] as const).flatMap((blame) => {
    const own = faults.filter((fault) => fault.blame === blame);
    return own.length === 0 ? [] : [[colors.bold(titles[blame]), ...own.map((fault) => faultText(fault))].join('\n\n')];
  });
  const skipped = [...byReason(notJudged)].map(([reason, entries]) => {
    const names =
      entries.length > 6 ? `${entries.slice(0, 6).join(', ')} and ${entries.length - 6} more` : entries.join(', ');
    // What is so of the whole site names no entry.
    return names === '' ? `  ${printable(reason)}` : `  ${printable(reason)} ${colors.dim(names)}`;
  });
  return [
    ...groups,
    ...(skipped.length > 0 ? [['Not walked, or not judged (neither passed nor failed):', ...skipped].join('\n')] : []),
    verdict(report),
  ].join('\n\n');
}

/** A walk that was stopped has not looked at every page; those are neither right nor wrong. */
function verdict({ stops, summary }: WalkReport): string {
  const seen = stops.filter(({ checks }) => Object.values(checks).some((outcome) => outcome !== 'not judged'));
  const right = seen.filter(({ checks }) => !Object.values(checks).includes('wrong')).length;
  const unseen = stops.length - seen.length;
  const pages = counted(summary.stops, 'page');
  const others = unseen === 0 ? '' : `, ${unseen} not looked at`;
  if (summary.faults > 0)
    return colors.red(`${pages}: ${right} as the site file says, ${counted(summary.faults, 'fault')}${others}.`);
  const checks = counted(summary.checks, 'check');
  if (unseen > 0) return colors.yellow(`${pages}: ${right} as the site file says, in ${checks}${others}.`);
  return colors.green(`${pages}: all as the site file says, in ${checks}.`);
}

function faultText({ code, entry, address, menu, pointer, message, remedy }: WalkFault): string {
  const place = [
    address ?? 'the whole site',
    ...(entry === null ? [] : [`entry “${entry}”`]),
    ...(menu === null ? [] : [`menu “${menu}”`]),
  ].join(' · ');
  const inFile = pointer === null ? '' : colors.dim(` (${pointer} in the site file)`);
  return [
    `  ${colors.red(faultKinds[code].title)} ${colors.dim(`[${code}]`)}`,
    `    ${printable(place)}${inFile}`,
    `    ${printable(message)}`,
    `    ${remedy}`,
  ].join('\n');
}

function byReason(parts: readonly NotJudgedPart[]): ReadonlyMap<string, readonly string[]> {
  const found = new Map<string, string[]>();
  for (const { reason, entry } of parts)
    found.set(reason, [...(found.get(reason) ?? []), ...(entry === null ? [] : [entry])]);
  return found;
}

function counted(count: number, word: string): string {
  return `${count} ${word}${count === 1 ? '' : 's'}`;
}
