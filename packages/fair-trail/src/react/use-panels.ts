import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import {
  closedDisclosures,
  nextDisclosures,
  type DisclosuresEffect,
  type DisclosuresEvent,
  type DisclosuresState,
} from '../core/index.ts';
import { carryOutPanels, heldPanel, listenForHover, listenWhileOpen, placePanels } from '../dom/index.ts';
import { useBrowserLayoutEffect } from './trail-context.ts';

interface PanelSettings {
  readonly rootRef: RefObject<HTMLElement | null>;
  /** The keys of the items that have panels. */
  readonly keys: readonly string[];
  readonly hoverOpens: boolean;
  /** The key of an item whose panel stays open. */
  readonly held: string | undefined;
}

interface Panels {
  readonly panels: DisclosuresState;
  readonly sendToPanels: (event: DisclosuresEvent) => void;
}

/** The panels under a bar's items. */
export function usePanels({ rootRef, keys, hoverOpens, held }: PanelSettings): Panels {
  const [panels, setPanels] = useState(closedDisclosures);
  const latest = useRef(panels);
  const waiting = useRef<DisclosuresEffect[]>([]);
  const send = useCallback((event: DisclosuresEvent) => {
    // Two events can come before the next render; the second must see what the first did.
    const { state, effects } = nextDisclosures(latest.current, event);
    waiting.current.push(...effects);
    if (state === latest.current) return;
    latest.current = state;
    setPanels(state);
  }, []);

  // What moves, and where focus can go, is to be seen only when the document shows the new state.
  useBrowserLayoutEffect(() => {
    const effects = waiting.current.splice(0);
    if (rootRef.current) for (const effect of effects) carryOutPanels(rootRef.current, effect, send);
  }, [rootRef, panels, send]);

  const known = keys.join('\n');
  useBrowserLayoutEffect(() => send({ type: 'left-over', ids: known.split('\n') }), [known, send]);
  useBrowserLayoutEffect(() => send({ type: 'hold', id: held ?? heldPanel(window) }), [held, send]);

  const isOpen = panels.open.length > 0;
  useEffect(
    () => (isOpen && rootRef.current ? listenWhileOpen(rootRef.current, send) : undefined),
    [isOpen, rootRef, send],
  );
  useBrowserLayoutEffect(() => {
    const row = rootRef.current?.querySelector<HTMLElement>('.ft-bar-row');
    return row ? placePanels(row, panels.open) : undefined;
  }, [rootRef, panels.open]);
  useEffect(() => {
    if (!hoverOpens || !rootRef.current) return undefined;
    return listenForHover(rootRef.current, {
      show: (id) => send({ type: 'hover', id }),
      end: () => send({ type: 'hover-end' }),
    });
  }, [hoverOpens, rootRef, send]);
  return { panels, sendToPanels: send };
}
