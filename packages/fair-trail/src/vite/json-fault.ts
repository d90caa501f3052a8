import { placeAt, type TextPlace } from './json-places.ts';

/** The first mistake of a text that is not JSON. */
export interface JsonFault {
  readonly place: TextPlace;
  /** What it is, as the end of a sentence. */
  readonly explanation: string;
}

/** Says what is wrong, and where: what an engine says of it names no place for many mistakes. */
class Fault extends Error {
  readonly offset: number;

  constructor(offset: number, explanation: string) {
    super(explanation);
    this.offset = offset;
  }
}

/**
 * Looks for the first mistake in a text that `JSON.parse` refuses (RFC 8259), in the words that the command `check` has for
 * it; null if it finds none.
 */
export function jsonFault(text: string): JsonFault | null {
  try {
    const scanner = new JsonScanner(text);
    scanner.value();
    scanner.end();
    return null;
  } catch (error) {
    if (error instanceof Fault) return { place: placeAt(text, error.offset), explanation: error.message };
    // Nested deeper than there is room for calls.
    if (error instanceof RangeError) return { place: placeAt(text, 0), explanation: 'it is nested too deeply' };
    throw error;
  }
}

class JsonScanner {
  readonly #text: string;
  #at = 0;

  constructor(text: string) {
    this.#text = text;
  }

  value(): void {
    const sign = this.#next();
    if (sign === '{') this.#list('}', () => this.#property());
    else if (sign === '[') this.#list(']', () => this.value());
    else if (sign === '"') this.#string();
    else this.#word();
  }

  /** A number, or one of the three words. */
  #word(): void {
    const [word = ''] = /^[^\s,:{}[\]"/]*/u.exec(this.#text.slice(this.#at, this.#at + 100)) ?? [];
    if (word === '') this.#fail('a value is missing, or a comma is too many');
    if (/^[-+.\d]/u.test(word) && !/^-?(?:0|[1-9]\d*)(?:\.\d+)?(?:[eE][-+]?\d+)?$/u.test(word)) {
      this.#fail('a number that is not written as JSON writes numbers');
    }
    if (!/^[-\d]|^(?:true|false|null)$/u.test(word)) this.#fail('a word or sign that JSON does not have');
    this.#at += word.length;
  }

  end(): void {
    if (this.#next() !== '') this.#fail('something follows after the end');
  }

  #list(close: '}' | ']', item: () => void): void {
    this.#at += 1;
    if (this.#next() === close) {
      this.#at += 1;
      return;
    }
    for (;;) {
      item();
      const sign = this.#next();
      this.#at += 1;
      if (sign === close) return;
      if (sign === ',') continue;
      this.#at -= 1;
      this.#fail(sign === '' || sign === '}' || sign === ']' ? `a "${close}" is missing` : 'a "," is missing');
    }
  }

  #property(): void {
    const sign = this.#next();
    if (/[^\s,:{}[\]"\d-]/u.test(sign)) this.#fail('a word or sign that JSON does not have');
    if (sign !== '"') this.#fail('a field name in double quotes is missing, or a comma is too many');
    this.#string();
    if (this.#next() !== ':') this.#fail('a ":" is missing');
    this.#at += 1;
    this.value();
  }

  #string(): void {
    const start = this.#at;
    for (this.#at += 1; ; this.#at += 1) {
      const sign = this.#text[this.#at];
      if (sign === undefined || sign === '\n' || sign === '\r') {
        this.#at = start;
        this.#fail('a text is not closed with a double quote');
      }
      if (sign < ' ') this.#fail('a control character inside a text');
      if (sign === '"') break;
      if (sign !== '\\') continue;
      this.#at += 1;
      if (this.#text[this.#at] === 'u' && !/^[\da-f]{4}/iu.test(this.#text.slice(this.#at + 1, this.#at + 5))) {
        this.#fail('a "\\u" is not followed by four hexadecimal digits');
      }
      if (!/["\\/bfnrtu]/u.test(this.#text[this.#at] ?? '')) this.#fail('a "\\" before a character that needs none');
    }
    this.#at += 1;
  }

  /** The next character after white space; empty at the end. */
  #next(): string {
    while (/[ \t\r\n]/u.test(this.#text[this.#at] ?? '')) this.#at += 1;
    const sign = this.#text[this.#at] ?? '';
    if (sign === '/') this.#fail('JSON has no comments');
    return sign;
  }

  #fail(explanation: string): never {
    throw new Fault(this.#at, explanation);
  }
}
