import type { Conditions } from './conditions.ts';
import { rewriteStyles } from './rewrite-styles.ts';

/** Where the specimens' stylesheets come from: texts of them, or whatever the document around the sheet has. */
export type SheetStyles = readonly string[] | 'document';

/** What the stylesheets of a frame are made of. */
export interface StylesWanted {
  readonly styles: SheetStyles;
  /** Further stylesheets, after the others. */
  readonly more: readonly string[];
  readonly conditions: Conditions;
}

/** The stylesheets of one frame. */
export class FrameStyles {
  readonly #document: Document;
  /** Of the texts, in their order. */
  #constructed: readonly CSSStyleSheet[] = [];
  #texts: readonly string[] = [];
  #copies: readonly (HTMLLinkElement | HTMLStyleElement)[] | null = null;
  #conditions: Conditions | null = null;
  readonly #onChange: () => void;

  /** @param onChange called when a stylesheet that takes time to load has been applied */
  constructor(document: Document, onChange: () => void) {
    this.#document = document;
    this.#onChange = onChange;
  }

  /** Has them be so. What is so already is left alone: a width that is dragged is no other stylesheet. */
  apply({ styles, more, conditions }: StylesWanted): void {
    const isRewritten = this.#conditions !== null && areAnsweredAlike(this.#conditions, conditions);
    this.#conditions = conditions;
    if (styles === 'document') this.#copies ??= this.#copyFrom(this.#document.defaultView?.parent.document);
    const fresh = this.#construct([...(styles === 'document' ? [] : styles), ...more]);
    for (const sheet of isRewritten ? fresh : this.#constructed) rewriteStyles(sheet, conditions);
    if (!isRewritten) for (const { sheet } of this.#copies ?? []) if (sheet) this.#try(sheet);
  }

  /** Makes a stylesheet of each text that there is none of yet; answers those. */
  #construct(texts: readonly string[]): readonly CSSStyleSheet[] {
    const Stylesheet = this.#document.defaultView?.CSSStyleSheet;
    if (
      !Stylesheet ||
      (texts.length === this.#texts.length && texts.every((text, index) => text === this.#texts[index]))
    ) {
      return [];
    }
    const fresh: CSSStyleSheet[] = [];
    this.#constructed = texts.map((text, index) => {
      const known = this.#constructed[index];
      if (known && this.#texts[index] === text) return known;
      const sheet = new Stylesheet();
      sheet.replaceSync(text);
      fresh.push(sheet);
      return sheet;
    });
    this.#texts = texts;
    this.#document.adoptedStyleSheets = [...this.#constructed];
    return fresh;
  }

  /** Rules of another origin are not shown to scripts: they apply as they are. */
  #try(sheet: CSSStyleSheet): void {
    try {
      if (this.#conditions) rewriteStyles(sheet, this.#conditions);
    } catch (error) {
      if (!(error instanceof Error) || error.name !== 'SecurityError') throw error;
    }
  }

  #copyFrom(source: Document | undefined): readonly (HTMLLinkElement | HTMLStyleElement)[] {
    const originals = source?.querySelectorAll<HTMLLinkElement | HTMLStyleElement>('link[rel~="stylesheet"], style');
    return [...(originals ?? [])].map((original) => {
      const copy = this.#document.importNode(original, true);
      // An attribute with a nonce cannot be read back: the property can.
      copy.nonce = original.nonce;
      if ('href' in copy && 'href' in original) copy.href = original.href;
      copy.addEventListener('load', () => {
        if (copy.sheet) this.#try(copy.sheet);
        this.#onChange();
      });
      this.#document.head.append(copy);
      return copy;
    });
  }
}

/** Whether media queries have the same answers under both. */
function areAnsweredAlike(one: Conditions, other: Conditions): boolean {
  return (['text', 'scheme', 'contrast', 'motion'] as const).every((name) => one[name] === other[name]);
}
