import { nearest } from './nearest.ts';
import { type Problem, problem } from './problems.ts';

/** Where a value stands, and where its problems go. The pointer is only written out for those that have one. */
export class FieldLocation {
  readonly problems: Problem[];
  readonly #parent: FieldLocation | null;
  readonly #step: string | number;

  constructor(problems: Problem[], parent: FieldLocation | null = null, step: string | number = '') {
    this.problems = problems;
    this.#parent = parent;
    this.#step = step;
  }

  get pointer(): string {
    return this.#parent ? pointerTo(this.#parent.pointer, this.#step) : '';
  }
}

export function below(place: FieldLocation, step: string | number): FieldLocation {
  return new FieldLocation(place.problems, place, step);
}

/** What a value is called in a message. */
function describe(value: unknown): string {
  if (value === null) return 'null';
  if (Array.isArray(value)) return 'a list';
  if (typeof value === 'object') return 'an object';
  return typeof value === 'string' ? 'text' : `a ${typeof value}`;
}

/** Reports the problem. Null, since there is nothing to go on with. */
function wrongType(value: unknown, expected: string, place: FieldLocation): null {
  place.problems.push(problem('wrong-type', place.pointer, { value: describe(value), expected }));
  return null;
}

/** The object, with a problem for each field it should not have. */
export function readObject(
  value: unknown,
  fields: readonly string[],
  place: FieldLocation,
): Readonly<Record<string, unknown>> | null {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) {
    return wrongType(value, 'an object', place);
  }
  for (const key of Object.keys(value)) {
    if (fields.includes(key)) continue;
    const other = nearest(key, fields);
    const details = { value: key, expected: fields.join(', '), ...(other && { other }) };
    place.problems.push(problem('unknown-field', below(place, key).pointer, details));
  }
  return value as Record<string, unknown>;
}

/** Text with something to read in it. */
export function readText(value: unknown, what: string, place: FieldLocation): string | null {
  if (typeof value !== 'string') return wrongType(value, 'text', place);
  if (value.trim() === '') {
    place.problems.push(problem('empty-text', place.pointer, { value: what }));
    return null;
  }
  return value;
}

/** As `readText`, with its arguments in the order that `readTexts` gives them. */
function readTextOf(value: unknown, place: FieldLocation, what: string): string | null {
  return readText(value, what, place);
}

/** The languages of a site, its own first. */
export interface Languages {
  readonly all: readonly string[];
  readonly own: string;
}

/**
 * Text, or text by language. Each text is read where it stands; the site's own language must be among them.
 *
 * @param readOne reads one text; default: `readText`
 */
export function readTexts(
  value: unknown,
  what: string,
  { all, own }: Languages,
  place: FieldLocation,
  readOne: (value: unknown, place: FieldLocation, what: string) => string | null = readTextOf,
): Readonly<Record<string, string>> | null {
  if (typeof value !== 'object' || value === null) {
    const text = readOne(value, place, what);
    return text === null ? null : { [own]: text };
  }
  const object = readRecord(value, place);
  if (!object) return null;
  const texts: Record<string, string> = {};
  for (const language of Object.keys(object)) {
    const at = below(place, language);
    if (!all.includes(language)) {
      place.problems.push(problem('unknown-language', at.pointer, { value: language, expected: all.join(', ') }));
      continue;
    }
    const text = readOne(object[language], at, what);
    if (text !== null) texts[language] = text;
  }
  if (!Object.hasOwn(object, own)) {
    place.problems.push(problem('missing-field', place.pointer, { value: own, expected: `the ${what} in "${own}"` }));
  }
  return Object.hasOwn(texts, own) ? texts : null;
}

/** An object whose fields are names of someone's choice. */
export function readRecord(value: unknown, place: FieldLocation): Readonly<Record<string, unknown>> | null {
  return readObject(value, typeof value === 'object' && value !== null ? Object.keys(value) : [], place);
}

/** Underscore comes late, so that `__proto__` and its kind are no names. */
const nameSyntax = /^[a-z][\w.-]*$/iu;

export function readName(value: unknown, what: string, place: FieldLocation): string | null {
  const text = readText(value, what, place);
  if (text === null || nameSyntax.test(text)) return text;
  place.problems.push(problem('name-syntax', place.pointer, { value: text, other: what }));
  return null;
}

export function readNumber(value: unknown, place: FieldLocation): number | null {
  return typeof value === 'number' && Number.isFinite(value) ? value : wrongType(value, 'a number', place);
}

export function readBoolean(value: unknown, place: FieldLocation): boolean | null {
  return typeof value === 'boolean' ? value : wrongType(value, 'true or false', place);
}

export function readChoice<Choice extends string>(
  value: unknown,
  choices: readonly Choice[],
  place: FieldLocation,
): Choice | null {
  const found = choices.find((choice) => choice === value);
  if (found !== undefined) return found;
  const expected = choices.map((choice) => `"${choice}"`).join(' or ');
  if (typeof value !== 'string') return wrongType(value, expected, place);
  place.problems.push(problem('wrong-type', place.pointer, { value: `"${value.slice(0, 80)}"`, expected }));
  return null;
}

/** The list's members, each read at its own place; those that cannot be read are left out. */
export function readList<Member>(
  value: unknown,
  readMember: (member: unknown, place: FieldLocation, index: number) => Member | null,
  place: FieldLocation,
): Member[] | null {
  if (!Array.isArray(value)) return wrongType(value, 'a list', place);
  const members: Member[] = [];
  value.forEach((member, index) => {
    const read = readMember(member, below(place, index), index);
    if (read !== null) members.push(read);
  });
  return members;
}

/** Reads a field where it is written; an absent or undefined one is no problem, and null. */
export function readOptional<Value>(
  object: Readonly<Record<string, unknown>>,
  field: string,
  read: (value: unknown, place: FieldLocation) => Value | null,
  place: FieldLocation,
): Value | null {
  if (!Object.hasOwn(object, field) || object[field] === undefined) return null;
  return read(object[field], below(place, field));
}

/** As `readOptional`, but an absent field is a problem. `expected` says what belongs there. */
export function readRequired<Value>(
  object: Readonly<Record<string, unknown>>,
  field: string,
  expected: string,
  read: (value: unknown, place: FieldLocation) => Value | null,
  place: FieldLocation,
): Value | null {
  if (!Object.hasOwn(object, field) || object[field] === undefined) {
    place.problems.push(problem('missing-field', place.pointer, { value: field, expected }));
    return null;
  }
  return read(object[field], below(place, field));
}

/** One more step of a JSON Pointer, escaped as RFC 6901 section 3 asks: `~` before `/`. */
export function pointerTo(parent: string, step: string | number): string {
  return `${parent}/${String(step).replaceAll('~', '~0').replaceAll('/', '~1')}`;
}
