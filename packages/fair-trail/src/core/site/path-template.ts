import { decodeSegment, decodeText, encodeSegment, encodeText, isDots, wellFormed } from './encoding.ts';
import type { Path, Segment, Token } from './path.ts';

/**
 * A path as a checked site keeps it: percent-encoded text, with `{name}` for a param, `{name+}` for a wildcard that stands
 * for one segment at least, and `{name*}` for one that may stand for nothing. Encoded text has no braces, so nothing has
 * to be escaped, and reading a template takes a few lines where the syntax of the URL Pattern standard takes a parser.
 */
export type PathTemplate = string;

export function writeTemplate(path: Path): PathTemplate {
  return `/${path.map(writeSegment).join('/')}`;
}

function writeSegment(segment: Segment): string {
  if (segment.kind === 'literal') return segment.written;
  return segment.kind === 'mixed' || segment.kind === 'tail'
    ? segment.tokens.map(writeToken).join('')
    : writeToken(segment);
}

function writeToken(token: Token): string {
  if (token.kind === 'text') return encodeText(token.text);
  return token.kind === 'param' ? `{${token.name}}` : `{${token.name}${token.filled ? '+' : '*'}}`;
}

const placeholder = /\{([^}+*]+)([+*]?)\}/gu;

/** The names of a template's params and wildcards, in its order. */
export function namesInTemplate(template: PathTemplate): readonly string[] {
  return [...template.matchAll(placeholder)].map(([, name = '']) => name);
}

/** Reads what `writeTemplate` wrote. */
export function readTemplate(template: PathTemplate): Path {
  const path: Segment[] = [];
  const segments = template.split('/').filter(Boolean);
  for (const [index, segment] of segments.entries()) {
    // A wildcard takes in slashes too: from the segment that it stands in, the rest is one.
    const isOpen = /[+*]\}/u.test(segment);
    const tokens = readTokens(isOpen ? segments.slice(index).join('/') : segment);
    const [only] = tokens;
    if (!segment.includes('{')) path.push({ kind: 'literal', written: segment, text: decodeSegment(segment) });
    else if (only && only.kind !== 'text' && tokens.length === 1) path.push(only);
    else path.push({ kind: isOpen ? 'tail' : 'mixed', tokens });
    if (isOpen) break;
  }
  return path;
}

function readTokens(template: PathTemplate): readonly Token[] {
  const tokens: Token[] = [];
  // With groups, `split` returns what they hold too: text, name, sign, text, …
  template.split(placeholder).forEach((part, index, parts) => {
    if (index % 3 === 0 && part !== '') tokens.push({ kind: 'text', text: decodeText(part) });
    if (index % 3 !== 1) return;
    const sign = parts[index + 1];
    tokens.push(sign ? { kind: 'wildcard', name: part, filled: sign === '+' } : { kind: 'param', name: part });
  });
  return tokens;
}

/** A value for each name, as an app gives them. */
export type Params = Readonly<Record<string, string | undefined>>;

export function paramValue(params: Params, name: string): string {
  const given: unknown = params;
  // Without types, a number is given for a text, or anything for the params.
  const value: unknown = typeof given === 'object' && given !== null && Object.hasOwn(given, name) ? params[name] : '';
  return typeof value === 'string' || typeof value === 'number' ? String(value) : '';
}

/** An address, and the values of its params as they are written in it, decoded. */
export interface FilledTemplate {
  readonly address: string;
  readonly values: ReadonlyMap<string, string>;
}

/**
 * Puts the values of params into a template; null if one is missing, or would leave a segment that a URL parser takes
 * away. No address begins with two slashes, which would name another host.
 */
export function fillTemplate(template: PathTemplate, params: Params): FilledTemplate | null {
  const values = new Map<string, string>();
  // The compiler does not see that the function below changes it.
  let isMissing = false as boolean;
  const filled = template.replace(placeholder, (_, name: string, sign: string) => {
    const value = wellFormed(paramValue(params, name));
    const steps = sign ? value.split('/').filter(Boolean) : [value];
    const text = steps.join('/');
    if (text === '' && sign !== '*') isMissing = true;
    values.set(name, text);
    return steps.map(encodeSegment).join('/');
  });
  // Only what a path ends in may stand for nothing.
  const address = filled.replace(/\/$/u, '');
  const isUnsound = address.split('/').some((segment, index) => isDots(segment) || (segment === '' && index > 0));
  return isMissing || isUnsound ? null : { address: address || '/', values };
}
