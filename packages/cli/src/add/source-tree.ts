import { parse, type ParserPlugin } from '@babel/parser';
import type { File, Node, ObjectExpression } from '@babel/types';

/** A value as it is written in a file of JSON, or of a script: the same for both, so that one editor serves both. */
export type WrittenNode = WrittenObject | WrittenList | WrittenOther;

interface WrittenPlace {
  /** Offsets in the text. */
  readonly start: number;
  readonly end: number;
}

export interface WrittenObject extends WrittenPlace {
  readonly kind: 'object';
  readonly members: readonly WrittenMember[];
}

export interface WrittenMember extends WrittenPlace {
  readonly name: string;
  readonly value: WrittenNode;
}

export interface WrittenList extends WrittenPlace {
  readonly kind: 'list';
  readonly items: readonly WrittenNode[];
}

export interface WrittenOther extends WrittenPlace {
  readonly kind: 'other';
  /** The text of a literal; null for any other value. */
  readonly text: string | null;
}

/** A script as a syntax tree. @throws SyntaxError where it is none */
export function parseScript(text: string, file: string): File {
  const plugins: ParserPlugin[] = /\.[cm]?tsx?$|\.vue$/u.test(file) ? ['typescript'] : [];
  if (/x$|\.[cm]?js$/u.test(file)) plugins.push('jsx');
  return parse(text, { sourceType: 'module', plugins });
}

/** JSON, which is an expression of a script too. */
export function readWrittenJson(text: string): WrittenNode {
  const { program } = parse(`(${text})`, { sourceType: 'script' });
  const [statement] = program.body;
  if (statement?.type !== 'ExpressionStatement') throw new SyntaxError('This is no JSON.');
  return toWritten(statement.expression, 1);
}

/** What a node of a script says, as far as it is written there. */
export function toWritten(node: Node, shift = 0): WrittenNode {
  const place = { start: (node.start ?? 0) - shift, end: (node.end ?? 0) - shift };
  switch (node.type) {
    case 'TSAsExpression':
    case 'TSSatisfiesExpression':
    case 'ParenthesizedExpression':
      return toWritten(node.expression, shift);
    case 'ObjectExpression':
      return { ...place, kind: 'object', members: membersOf(node, shift) };
    case 'ArrayExpression': {
      const items = node.elements.map((element) =>
        element ? toWritten(element, shift) : ({ ...place, kind: 'other', text: null } as const),
      );
      return { ...place, kind: 'list', items };
    }
    case 'StringLiteral':
      return { ...place, kind: 'other', text: node.value };
    default:
      return { ...place, kind: 'other', text: null };
  }
}

function membersOf(node: ObjectExpression, shift: number): readonly WrittenMember[] {
  return node.properties.flatMap((property) => {
    if (property.type !== 'ObjectProperty' || property.computed) return [];
    const { key } = property;
    const name = key.type === 'Identifier' ? key.name : key.type === 'StringLiteral' ? key.value : null;
    if (name === null) return [];
    const place = { start: (property.start ?? 0) - shift, end: (property.end ?? 0) - shift };
    return [{ ...place, name, value: toWritten(property.value, shift) }];
  });
}

/** Every object that is written in a script. */
export function objectsIn(file: File): readonly ObjectExpression[] {
  const found: ObjectExpression[] = [];
  const visit = (node: unknown): void => {
    if (typeof node !== 'object' || node === null) return;
    if ('type' in node && node.type === 'ObjectExpression') found.push(node as ObjectExpression);
    for (const [name, child] of Object.entries(node))
      if (!/^(?:loc|tokens|errors|.*[Cc]omments)$/u.test(name)) visit(child);
  };
  visit(file.program);
  return found;
}

/** The value that a JSON Pointer names; null if it is not written in this text. */
export function writtenAt(root: WrittenNode, pointer: string): WrittenNode | null {
  let node: WrittenNode | undefined = root;
  for (const step of pointer.split('/').slice(1)) {
    if (node.kind === 'object') node = node.members.find(({ name }) => name === step)?.value;
    else if (node.kind === 'list') node = node.items[Number(step)];
    else return null;
    if (!node) return null;
  }
  return node;
}
