/** One sentence of a standard that navigation can break. */
export interface Statement {
  /** Where it stands, as the standard numbers it. */
  readonly section: string;
  readonly text: string;
  /** The rules and probes that check it. */
  readonly rules: readonly string[];
  /** Why none does, or what is left that they cannot tell. */
  readonly undecided?: string;
}

export interface Standard {
  readonly name: string;
  readonly statements: readonly Statement[];
}

/** A row of a standard: its section, the sentence, the rules by their ids, and what no rule can tell. */
export type StatementRow = readonly [section: string, text: string, rules: string, undecided?: string];

export function standardOf(name: string, rows: readonly StatementRow[]): Standard {
  const statements = rows.map(([section, text, rules, undecided]): Statement => {
    return { section, text, rules: rules.split(' ').filter(Boolean), ...(undecided !== undefined && { undecided }) };
  });
  return { name, statements };
}
