import { NavigationFailure } from '../failures.ts';
import type { Host } from '../host.ts';
import { DocumentReader, type PageReader } from '../page/page-reader.ts';

/** The reader of a document in the same program. */
export class ReaderInReach {
  readonly #name: string;
  readonly #document: () => Document | null;
  #reader: { readonly of: Document; readonly reader: DocumentReader } | null = null;

  constructor(name: string, document: () => Document | null) {
    this.#name = name;
    this.#document = document;
  }

  readonly ask: Host['ask'] = (question, ...given) => {
    // A question that fails is answered by a promise that does, as by any other host.
    return Promise.resolve().then(() => {
      const reader: PageReader = this.#read();
      const method = reader[question] as (this: PageReader, ...all: unknown[]) => never;
      return method.apply(reader, given);
    });
  };

  /** What a number stands for. */
  element(number: number): HTMLElement {
    const element = this.#read().element(number);
    if (element) return element;
    throw new NavigationFailure('not-pressed', {
      wanted: 'Something that was there a moment ago was to be used.',
      found: 'it has gone from the document',
      likely: 'the menu is made again over and over, as by a component without a stable key.',
    });
  }

  #read(): DocumentReader {
    const document = this.#document();
    if (!document?.defaultView) {
      throw new NavigationFailure('host-gone', {
        wanted: 'The page was to be looked at.',
        found: `${this.#name} has been closed`,
        likely: 'the test went on after its page was torn down: an await is missing, or a clean-up ran too early.',
      });
    }
    if (this.#reader?.of !== document) this.#reader = { of: document, reader: new DocumentReader(document) };
    return this.#reader.reader;
  }
}
