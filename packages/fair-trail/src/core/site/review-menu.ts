import { textIn, type Texts } from './texts.ts';
import { entryPointer, type Entry } from './entry.ts';
import { hrefOf } from './hrefs.ts';
import { problem, type Problem } from './problems.ts';
import type { MenuNode, Site } from './site.ts';

/** Longer than this, a list is scanned and not read. */
const longestList = 12;

const longestLabel = 30;

/** The texts that people read of one label: too long ones, and languages without any. */
export function reviewLabels(site: Site, labels: Texts, pointer: string): Problem[] {
  const found: Problem[] = [];
  for (const text of new Set(Object.values(labels))) {
    if (!isLong(text)) continue;
    found.push(problem('label-too-long', pointer, { value: text, expected: String(longestLabel) }));
  }
  for (const language of site.languages) {
    const isNamed = Object.hasOwn(labels, language) || /^\{\w+\}$/u.test(textIn(labels, language, site.language));
    if (!isNamed) found.push(problem('missing-language', pointer, { value: language }));
  }
  return found;
}

/** Counts what a reader counts as characters, whatever they are made of, and no more of them than need be. */
function isLong(text: string): boolean {
  if (text.length <= longestLabel) return false;
  let count = 0;
  for (const _ of new Intl.Segmenter(undefined, { granularity: 'grapheme' }).segment(text)) {
    count += 1;
    if (count > longestLabel) return true;
  }
  return false;
}

/** One item of a menu as it is shown: a node, or an entry that comes with its depth. */
interface ReviewedItem {
  readonly labels: Texts;
  readonly pointer: string;
  /** Equal for two items that lead to the same. */
  readonly key: string;
  readonly entry: Entry | null;
  /** The choice that the item is one of: only one of its items is shown. */
  readonly choice: string | null;
}

/** What is likely to be a mistake in a menu: long lists, labels that cannot be distinguished, icons that are missing. */
export function reviewMenu(site: Site, nodes: readonly MenuNode[], pointer: string): Problem[] {
  const reviewer = new MenuReviewer(site);
  const items = reviewer.visit(nodes, pointer, null);
  return [...reviewer.found, ...missingIcons(items, pointer.endsWith('/rail'))];
}

class MenuReviewer {
  readonly found: Problem[] = [];
  readonly #site: Site;
  readonly #first = new Map<string, ReviewedItem>();

  constructor(site: Site) {
    this.#site = site;
  }

  /** The entries of the list itself. */
  visit(nodes: readonly MenuNode[], pointer: string, choice: string | null): readonly ReviewedItem[] {
    if (choice === null) this.#reviewLength(nodes.filter(({ kind }) => kind !== 'divider').length, pointer);
    const groups = new Map<string, ReviewedItem>();
    return nodes.flatMap((node, index): ReviewedItem[] => {
      const here = `${pointer}/${index}`;
      switch (node.kind) {
        case 'divider':
          return [];
        case 'group': {
          this.found.push(...reviewLabels(this.#site, node.labels, `${here}/label`));
          const group = { ...itemOf(node.labels, here, choice), key: here };
          this.#compareLabels(group, groups);
          this.visit(node.nodes, `${here}/entries`, null);
          return [];
        }
        case 'choice':
          this.visit(node.nodes, `${here}/either`, here);
          return [];
        case 'action': {
          this.found.push(...reviewLabels(this.#site, node.labels, `${here}/label`));
          const action = { ...itemOf(node.labels, here, choice), key: `action ${node.action}` };
          this.#compareLabels(action, this.#first);
          return [];
        }
        case 'entry': {
          const { entry, params, depth } = node;
          const item = this.#entryItem(entry, here, choice, JSON.stringify(params));
          this.#compareLabels(item, this.#first);
          this.#visitBelow(entry, depth, here);
          return [item];
        }
      }
    });
  }

  /** The entries that come with one, as a menu shows them. */
  #visitBelow(entry: Entry, depth: number, pointer: string): void {
    const below = entry.href === null ? depth : depth - 1;
    if (below <= 0) return;
    const shown = entry.entries.filter((child) => {
      const isLink = child.records !== null || hrefOf(this.#site, child) !== null;
      return isLink || child.entries.length > 0;
    });
    this.#reviewLength(shown.length, pointer);
    for (const child of shown) {
      if (child.href !== null) {
        this.#compareLabels(this.#entryItem(child, entryPointer(child), null, '{}'), this.#first);
      }
      this.#visitBelow(child, below, pointer);
    }
  }

  #entryItem(entry: Entry, pointer: string, choice: string | null, params: string): ReviewedItem {
    return { labels: entry.labels, pointer, key: `${entry.id} ${params}`, entry, choice };
  }

  #reviewLength(count: number, pointer: string): void {
    if (count <= longestList) return;
    this.found.push(problem('menu-too-long', pointer, { value: String(count), expected: String(longestList) }));
  }

  /** Reports a label that stands for something else already, in any language. */
  #compareLabels(item: ReviewedItem, first: Map<string, ReviewedItem>): void {
    // A label that is made from params stands for many.
    let reported = item.entry !== null && item.entry.paramNames.length > 0;
    for (const language of this.#site.languages) {
      const text = textIn(item.labels, language, this.#site.language);
      const place = `${language} ${text}`;
      const other = first.get(place);
      if (!other) first.set(place, item);
      const isOther = other && other.key !== item.key && (other.choice === null || other.choice !== item.choice);
      if (!isOther || reported) continue;
      reported = true;
      this.found.push(problem('label-repeats', item.pointer, { value: text, other: other.pointer }));
    }
  }
}

/** Below the first level, icons are for a few that stand out; in a rail nothing else is shown. */
function missingIcons(items: readonly ReviewedItem[], isRail: boolean): Problem[] {
  if (!isRail && items.every(({ entry }) => entry?.icon === null)) return [];
  return items.flatMap(({ entry, pointer }) => {
    return entry?.icon === null ? [problem('missing-icon', pointer, { value: entry.id })] : [];
  });
}

function itemOf(labels: Texts, pointer: string, choice: string | null): Omit<ReviewedItem, 'key'> {
  return { labels, pointer, entry: null, choice };
}
