import type { Filtered } from '../site/filter.ts';
import type { Wording } from '../wording.ts';
import { element, type ViewElement } from './view.ts';

export interface FilterViewOptions {
  readonly id: string;
  /** What a query leaves; null if there is none. */
  readonly filtered: Filtered | null;
  readonly wording: Wording;
}

/** The field that filters a list, and the number of matches: for screen readers, and visible when there are none. */
export function filterView({ id, filtered, wording }: FilterViewOptions): ViewElement {
  const label = element('label', { class: 'ft-visually-hidden', for: id }, [wording.filter]);
  const field = element('input', {
    class: 'ft-filter-field',
    id,
    type: 'search',
    placeholder: wording.filter,
    autocomplete: 'off',
    spellcheck: 'false',
  });
  const said = element(
    'p',
    { class: 'ft-filter-status', role: 'status', 'data-ft-left': filtered ? String(filtered.count) : null },
    [filtered ? statusOf(filtered, wording) : ''],
  );
  return element('div', { class: 'ft-filter' }, [label, field, said], { key: 'search' });
}

function statusOf({ count, shown }: Filtered, { match, matches, matchesShown, noMatch }: Wording): string {
  if (count === 0) return noMatch;
  if (shown < count)
    return matchesShown.replace('{count}', () => String(count)).replace('{shown}', () => String(shown));
  return count === 1 ? match : matches.replace('{count}', () => String(count));
}
