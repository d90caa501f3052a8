import { parseAst } from 'vite';

/** A place in a text, counted from 1, as editors show it. */
export interface TextPlace {
  readonly line: number;
  readonly column: number;
}

/** What JSON has of the syntax tree of a script, of which it is a part. */
interface JsonNode {
  readonly type: string;
  readonly start: number;
  readonly expression?: JsonNode;
  readonly properties?: readonly {
    readonly key: { readonly value: unknown; readonly start: number };
    readonly value: JsonNode;
  }[];
  readonly elements?: readonly JsonNode[];
}

/**
 * Finds where the value begins that a JSON Pointer (RFC 6901) names, or the nearest one above it that is there.
 *
 * @param text sound JSON
 */
export function placesIn(text: string): (pointer: string) => TextPlace {
  let root: JsonNode | null = null;
  return (pointer) => {
    // Every JSON text is an expression of ECMAScript.
    // Of the two Vite versions that the plugin runs in, the older one has no other.
    // eslint-disable-next-line @typescript-eslint/no-deprecated
    const program = (root ??= parseAst(`(${text})`) as unknown as JsonNode);
    const [statement] = (program as unknown as { readonly body: readonly JsonNode[] }).body;
    let node = statement?.expression;
    for (const step of pointer.split('/').slice(1)) {
      const next = node && childOf(node, step.replaceAll('~1', '/').replaceAll('~0', '~'));
      if (!next) break;
      node = next;
    }
    return placeAt(text, (node?.start ?? 1) - 1);
  };
}

function childOf({ properties, elements }: JsonNode, step: string): JsonNode | undefined {
  return properties ? properties.findLast(({ key }) => String(key.value) === step)?.value : elements?.[Number(step)];
}

/** @param offset in UTF-16 code units, from 0 */
export function placeAt(text: string, offset: number): TextPlace {
  const before = text.slice(0, offset);
  return { line: before.split('\n').length, column: offset - before.lastIndexOf('\n') };
}
