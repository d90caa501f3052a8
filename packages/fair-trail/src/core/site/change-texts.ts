import type { SiteChange } from './compare.ts';
import type { Entry } from './entry.ts';

/** A change of a site in a sentence. */
export function changeText(change: SiteChange): string {
  switch (change.kind) {
    case 'added': {
      const { id, label, href } = change.entry;
      return `"${label}" (${id}) was added${href === null ? '' : ` at ${href}`}.`;
    }
    case 'removed':
      return `"${change.entry.label}" (${change.entry.id}) was removed.`;
    case 'renamed':
      return `"${change.from.label}" (${change.entry.id}) is now "${change.entry.label}".`;
    case 'moved': {
      const place = ({ href, parent }: Entry) => `${href ?? 'no address'} below ${parent?.id ?? 'the top'}`;
      return `${change.entry.id} moved from ${place(change.from)} to ${place(change.entry)}.`;
    }
    case 'language-changed':
      return `The language of the site was "${change.from}" and is "${change.to}".`;
    case 'address-lost':
      return `The address ${change.address} of "${change.from.label}" (${change.from.id}) leads nowhere now.`;
  }
}
