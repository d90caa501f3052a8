import type { PageReader } from './page/page-reader.ts';

/** What a host may be unable to judge. */
export type Ability =
  /** Where things stand, what fits, what is covered, what a width or a text size does. */
  | 'layout'
  /** Where the Tab key really goes. */
  | 'focus order'
  | 'hover'
  | 'touch'
  /** Loading a page again: by an address, a reload, or going back to another document. */
  | 'loading';

/** With what somebody uses the page. */
export type Input = 'mouse' | 'keyboard' | 'touch';

export interface WindowSize {
  /** In CSS pixels. */
  readonly width: number;
  /** In CSS pixels. Default: 800. */
  readonly height?: number;
}

type ReaderQuestions = { readonly [Name in keyof PageReader]: Parameters<PageReader[Name]> };
type ReaderAnswers = { readonly [Name in keyof PageReader]: Awaited<ReturnType<PageReader[Name]>> };

/**
 * Where a page is, and how it is used there: a page in a browser under test, one that is driven from outside, or a simulated
 * document. Elements are named by the numbers that the page's reader gives them.
 */
export interface Host {
  /** In a few words, for messages. */
  readonly name: string;
  /** What it cannot judge, and why in a sentence. */
  readonly cannot: Readonly<Partial<Record<Ability, string>>>;
  readonly ask: <Name extends keyof PageReader>(
    question: Name,
    ...given: ReaderQuestions[Name]
  ) => Promise<ReaderAnswers[Name]>;
  readonly press: (element: number, by: 'mouse' | 'touch') => Promise<void>;
  readonly hover: (element: number) => Promise<void>;
  /** Away from everything. */
  readonly unhover: () => Promise<void>;
  /** As `KeyboardEvent.key` says it, with `Shift+` before it where that is held. */
  readonly key: (key: string) => Promise<void>;
  readonly resize: (size: Required<WindowSize>) => Promise<void>;
  readonly visit: (address: string) => Promise<void>;
  readonly reload: () => Promise<void>;
  readonly traverse: (delta: -1 | 1) => Promise<void>;
}
