import { useMemo } from 'react';
import type { LiveMarks } from '../core/site/live-marks.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { menuItems } from '../core/site/menus.ts';
import { useLiveMarks } from './live-marks.ts';
import { useLocationPart, useSurroundings } from './trail-context.ts';

interface MenuAndMarks {
  /** The items at rest: their marks follow the position by themselves. */
  readonly items: readonly MenuItem[];
  readonly marks: LiveMarks;
  readonly language: string;
}

/** The items of a menu for this visitor, in the language of the page, and their marks. */
export function useMenu(menu: string): MenuAndMarks {
  const { site, audience, records, badges } = useSurroundings();
  const language = useLocationPart(({ position }) => position.language);
  const items = useMemo(
    () => menuItems(site, menu, { audience, records, badges, language }),
    [site, menu, audience, records, badges, language],
  );
  return { items, marks: useLiveMarks(items), language };
}
