/** How a file is written: what is added to it is written likewise. */
export interface JsonHabits {
  readonly eol: string;
  readonly unit: string;
  /** Between a name and its value. */
  readonly colon: string;
  readonly comma: string;
  /** Within the braces of an object on one line. */
  readonly padding: string;
  /** How long a line may become. */
  readonly width: number;
}

/** Reads them from a text. */
export function habitsOf(text: string): JsonHabits {
  const eol = text.includes('\r\n') ? '\r\n' : '\n';
  const lines = text.split(eol);
  const isCompact = /":\S/u.test(text) && !/":\s/u.test(text);
  return {
    eol,
    unit: /^([\t ]+)\S/mu.exec(text)?.[1] ?? '  ',
    colon: isCompact ? ':' : ': ',
    comma: isCompact ? ',' : ', ',
    padding: isCompact || (/[{]"/u.test(text) && !/[{] "/u.test(text)) ? '' : ' ',
    width: Math.max(80, ...lines.map((line) => Math.min(line.length, 120))),
  };
}

/** A value on one line. */
export function inline(value: unknown, habits: JsonHabits): string {
  const { colon, comma, padding } = habits;
  if (Array.isArray(value)) return `[${value.map((member) => inline(member, habits)).join(comma)}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  const fields = Object.entries(value)
    .filter(([, member]) => member !== undefined)
    .map(([name, member]) => `${JSON.stringify(name)}${colon}${inline(member, habits)}`);
  return fields.length === 0 ? '{}' : `{${padding}${fields.join(comma)}${padding}}`;
}

/** A value over several lines, but for what is short: lists of plain values. */
export function spread(value: unknown, indent: string, habits: JsonHabits): string {
  const { eol, unit, colon } = habits;
  const isPlain = (one: unknown) => typeof one !== 'object' || one === null;
  if (isPlain(value) || (Array.isArray(value) && value.every(isPlain))) return inline(value, habits);
  const inner = indent + unit;
  const members = Array.isArray(value)
    ? value.map((member) => spread(member, inner, habits))
    : Object.entries(value as object)
        .filter(([, member]) => member !== undefined)
        .map(([name, member]) => {
          // The value of a design token is short, however many parts it has.
          const text = name === '$value' ? inline(member, habits) : spread(member, inner, habits);
          return `${JSON.stringify(name)}${colon}${text}`;
        });
  const [open, close] = Array.isArray(value) ? '[]' : '{}';
  if (members.length === 0) return `${open ?? ''}${close ?? ''}`;
  return `${open ?? ''}${eol}${members.map((member) => inner + member).join(`,${eol}`)}${eol}${indent}${close ?? ''}`;
}
