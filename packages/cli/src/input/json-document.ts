import { findNodeAtLocation, parseTree, printParseErrorCode, type Node, type ParseError } from 'jsonc-parser';
import { Failure } from '../failure.ts';

/** A JSON text, read, with the way back from a value to its place in the text. */
export interface JsonDocument {
  readonly value: unknown;
  /** Where the value begins that a JSON Pointer names, or the nearest one above it that is there. */
  readonly offsetOf: (pointer: string) => number;
  /** Line and column of an offset, both counted from 1, as editors show them. */
  readonly placeOf: (offset: number) => { readonly line: number; readonly column: number };
}

/** How a parser's code reads in a sentence. */
const explanations: Readonly<Record<string, string>> = {
  InvalidSymbol: 'a word or sign that JSON does not have',
  InvalidNumberFormat: 'a number that is not written as JSON writes numbers',
  PropertyNameExpected: 'a field name in double quotes is missing, or a comma is too many',
  ValueExpected: 'a value is missing, or a comma is too many',
  ColonExpected: 'a ":" is missing',
  CommaExpected: 'a "," is missing',
  CloseBraceExpected: 'a "}" is missing',
  CloseBracketExpected: 'a "]" is missing',
  EndOfFileExpected: 'something follows after the end',
  InvalidCommentToken: 'JSON has no comments',
  UnexpectedEndOfComment: 'JSON has no comments',
  UnexpectedEndOfString: 'a text is not closed with a double quote',
  UnexpectedEndOfNumber: 'a number breaks off',
  InvalidUnicode: 'a "\\u" is not followed by four hexadecimal digits',
  InvalidEscapeCharacter: 'a "\\" before a character that needs none',
  InvalidCharacter: 'a control character inside a text',
};

/** @throws Failure that names the line and column of each mistake */
export function readJson(text: string, file: string): JsonDocument {
  const lines = lineStarts(text);
  const errors: ParseError[] = [];
  let root: Node | undefined;
  try {
    root = parseTree(text, errors, { disallowComments: true, allowTrailingComma: false });
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    throw new Failure('json-syntax', `${file}: the JSON is nested too deeply to be read. Flatten it.`);
  }
  if (errors.length > 0 || !root) {
    throw new Failure('json-syntax', syntaxMessage(errors, text, lines, file));
  }
  refuseRepeatedFields(root, lines, file);
  return {
    // Not built from the tree: only the language's own parser keeps a field named "__proto__" a mere field.
    value: JSON.parse(text),
    placeOf: (offset) => position(offset, lines),
    offsetOf(pointer) {
      const steps = pointer.split('/').slice(1).map(unescapeStep);
      let node: Node | undefined;
      for (let length = steps.length; !node; length -= 1) node = findNodeAtLocation(root, steps.slice(0, length));
      return node.offset;
    },
  };
}

function syntaxMessage(errors: readonly ParseError[], text: string, lines: readonly number[], file: string): string {
  const [first] = errors;
  if (text.trim() === '' || !first) return `${file}: the file is empty. A site file is a JSON object.`;
  const explanation = explanations[printParseErrorCode(first.error)] ?? 'it cannot be read';
  const { line, column } = position(first.offset, lines);
  // What a parser says after its first stumble is mostly noise.
  return `${file}:${line}:${column}: this is not JSON: ${explanation}. Correct it there, or just before.`;
}

function refuseRepeatedFields(root: Node, lines: readonly number[], file: string): void {
  const messages: string[] = [];
  const nodes = [root];
  for (let node = nodes.pop(); node; node = nodes.pop()) {
    const seen = new Set<unknown>();
    for (const child of node.children ?? []) {
      nodes.push(child);
      const key = child.type === 'property' ? child.children?.[0] : undefined;
      if (!key) continue;
      const name: unknown = key.value;
      if (seen.has(name)) {
        const { line, column } = position(key.offset, lines);
        messages.push(`${file}:${line}:${column}: the field ${JSON.stringify(name)} stands twice. Keep one of them.`);
      }
      seen.add(name);
    }
  }
  if (messages.length > 0) throw new Failure('duplicate-field', messages.join('\n'));
}

/** Array indices are numbers in the parser's paths, and digits elsewhere are names; it accepts both for arrays. */
function unescapeStep(step: string): string | number {
  const text = step.replaceAll('~1', '/').replaceAll('~0', '~');
  return /^(?:0|[1-9]\d*)$/u.test(text) ? Number(text) : text;
}

function lineStarts(text: string): readonly number[] {
  const starts = [0];
  for (let index = text.indexOf('\n'); index >= 0; index = text.indexOf('\n', index + 1)) starts.push(index + 1);
  return starts;
}

function position(offset: number, starts: readonly number[]): { readonly line: number; readonly column: number } {
  let low = 0;
  let high = starts.length - 1;
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if ((starts[middle] ?? 0) <= offset) low = middle;
    else high = middle - 1;
  }
  return { line: low + 1, column: offset - (starts[low] ?? 0) + 1 };
}
