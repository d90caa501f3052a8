import type { UncheckedRule } from '../audit-report.ts';

/** What could not be tried for one reason, and where. */
export interface UncheckedGroup {
  /** Empty for whole pages. */
  readonly rules: readonly string[];
  readonly reason: string;
  readonly pages: readonly string[];
}

/** Together what has one reason on the same pages: a script that is missing keeps many rules from being tried. */
export function uncheckedGroups(notChecked: readonly UncheckedRule[]): readonly UncheckedGroup[] {
  const groups = new Map<string, UncheckedGroup>();
  for (const { rule, reason, pages } of notChecked) {
    const key = [reason, ...pages].join('\n');
    const rules = [...(groups.get(key)?.rules ?? []), ...(rule === '*' ? [] : [rule])];
    groups.set(key, { rules, reason, pages });
  }
  return [...groups.values()];
}
