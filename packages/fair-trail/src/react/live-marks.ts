import { createContext, useCallback, useContext, useState, useSyncExternalStore } from 'react';
import { LiveMarks } from '../core/site/live-marks.ts';
import type { Mark, MenuItem } from '../core/site/menu-item.ts';
import { useBrowserLayoutEffect, useLocationSource } from './trail-context.ts';

/** The marks of the menu that is printed; null where its items have their marks already. */
export const MarksContext = createContext<LiveMarks | null>(null);

/** The marks of a menu's items. They follow the position without whoever holds them being rendered again. */
export function useLiveMarks(items: readonly MenuItem[]): LiveMarks {
  const place = useLocationSource();
  const [known, setKnown] = useState(() => ({ items, marks: new LiveMarks(items, place.read().position) }));
  let { marks } = known;
  if (known.items !== items) {
    marks = new LiveMarks(items, place.read().position);
    setKnown({ items, marks });
  }
  useBrowserLayoutEffect(() => {
    const follow = () => marks.moveTo(place.read().position);
    follow();
    return place.subscribe(follow);
  }, [marks, place]);
  return marks;
}

const unmarked = () => undefined;

/** The mark of one item, as it follows the position. */
export function useMark(item: MenuItem): Mark {
  const marks = useContext(MarksContext);
  const read = () => marks?.markOf(item) ?? item.mark;
  const subscribe = useCallback((listener: () => void) => marks?.subscribe(item, listener) ?? unmarked, [marks, item]);
  return useSyncExternalStore(subscribe, read, read);
}
