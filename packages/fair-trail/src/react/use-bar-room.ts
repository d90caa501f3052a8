import { useEffect, useState, useRef, type RefObject } from 'react';
import { estimateRoom, type RoomEstimate, rungFor } from '../core/layout/room.ts';
import { type FittedItem, watchFit } from '../dom/fit-items.ts';
import { type RoomReport, watchRoom } from '../dom/room.ts';
import { useBrowserLayoutEffect } from './trail-context.ts';

/** The room at which a bar's row fits: estimated from the labels, and corrected once it has been seen not to. */
export function useBarRoom(
  rootRef: RefObject<HTMLElement | null>,
  content: RoomEstimate,
  onLook: (report: RoomReport) => void,
): number | null {
  const estimate = estimateRoom(content);
  const [measured, setMeasured] = useState({ estimate, needed: 0 });
  const look = useRef(onLook);
  useBrowserLayoutEffect(() => {
    look.current = onLook;
  });
  // What was measured holds only for what the bar held then; another estimate means that it holds something else now.
  useEffect(() => {
    const row = rootRef.current?.querySelector<HTMLElement>('.ft-bar-row');
    if (!row) return undefined;
    const toggle = row.querySelector<HTMLElement>('.ft-toggle');
    return watchRoom(row, toggle, (report) => {
      look.current(report);
      const { needed } = report;
      if (needed === null) return;
      setMeasured((known) => ({
        estimate,
        needed: known.estimate === estimate ? Math.max(known.needed, needed) : needed,
      }));
    });
  }, [rootRef, estimate]);
  return rungFor(measured.estimate === estimate ? Math.max(estimate, measured.needed) : estimate);
}

/** The keys of the items that do not fit into a bar's row; null while that has not been measured. */
export function useBeyond(
  rootRef: RefObject<HTMLElement | null>,
  items: readonly FittedItem[],
  isFitted: boolean,
): readonly string[] | null {
  const [beyond, setBeyond] = useState<readonly string[] | null>(null);
  useBrowserLayoutEffect(() => {
    const list = rootRef.current?.querySelector<HTMLElement>('.ft-bar-panel > .ft-menu');
    const toggle = rootRef.current?.querySelector<HTMLElement>('.ft-toggle');
    return isFitted && list && toggle ? watchFit(list, toggle, items, setBeyond) : undefined;
  }, [rootRef, items, isFitted]);
  return isFitted ? beyond : null;
}
