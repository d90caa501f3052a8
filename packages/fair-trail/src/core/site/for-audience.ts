import type { EntryDefinition, MenuItemDefinition, SiteDefinition } from './definition.ts';

/**
 * Returns the definition without the entries that a visitor in these audiences may not see, their descendants, their
 * menu items, and groups that become empty. Send it to that visitor instead of the whole.
 *
 * @example
 * const visible = defineSite(forAudience(definition, ['member']));
 */
export function forAudience(definition: SiteDefinition, audience: readonly string[]): SiteDefinition {
  const kept = new Set<string>();
  const entries = pruneEntries(definition.entries, audience, kept);
  const menus = Object.entries(definition.menus ?? {}).map(
    ([name, items]) => [name, pruneItems(items, audience, kept)] as const,
  );
  const { home, ...rest } = definition;
  return {
    ...rest,
    ...(home !== undefined && kept.has(home) && { home }),
    entries,
    ...(definition.menus && { menus: Object.fromEntries(menus) }),
  };
}

function pruneEntries(
  entries: readonly EntryDefinition[],
  audience: readonly string[],
  kept: Set<string>,
): readonly EntryDefinition[] {
  return entries.flatMap((entry) => {
    if (entry.audience && !entry.audience.some((name) => audience.includes(name))) return [];
    kept.add(entry.id);
    // Which audiences there are is no one's business who is not asked.
    const { audience: _, ...shown } = entry;
    return [entry.entries ? { ...shown, entries: pruneEntries(entry.entries, audience, kept) } : shown];
  });
}

function pruneItems(
  items: readonly MenuItemDefinition[],
  audience: readonly string[],
  kept: ReadonlySet<string>,
): readonly MenuItemDefinition[] {
  return items.flatMap((item): readonly MenuItemDefinition[] => {
    if (typeof item === 'string') return kept.has(item) ? [item] : [];
    if ('entry' in item) return kept.has(item.entry) ? [item] : [];
    if ('divider' in item) return [item];
    if ('action' in item) {
      const { audience: names, ...shown } = item;
      return names && !names.some((name) => audience.includes(name)) ? [] : [shown];
    }
    const below = pruneItems('either' in item ? item.either : item.entries, audience, kept);
    if (below.length === 0) return [];
    return 'either' in item ? below.slice(0, 1) : [{ ...item, entries: below }];
  });
}
