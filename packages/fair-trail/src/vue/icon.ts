import type { Slots } from 'vue';

/**
 * What a part asks for an icon by its name.
 *
 * A slot may be drawn within a drawing alone, and the part asks between them: where there is a slot, it is taken to draw
 * every icon.
 */
export function useIcon(slots: Slots): ((name: string) => unknown) | undefined {
  return slots['icon'] ? () => true : undefined;
}
