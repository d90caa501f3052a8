import { useEffect, type RefObject } from 'react';
import {
  closedDisclosures,
  type DisclosuresEvent,
  type DisclosuresState,
  nextDisclosures,
} from '../core/interaction/disclosures.ts';
import { carryOutPanels, heldPanel, listenWhileOpen } from '../dom/panels.ts';
import { listenForHover } from '../dom/hover.ts';
import { placePanels } from '../dom/place-panels.ts';
import { isDevelopment } from '../core/development.ts';
import { useBrowserLayoutEffect } from './trail-context.ts';
import { useMachine } from './use-machine.ts';

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
  const [panels, send] = useMachine(
    nextDisclosures,
    () => closedDisclosures,
    (effect, tell: (event: DisclosuresEvent) => void) => {
      if (rootRef.current) carryOutPanels(rootRef.current, effect, tell);
    },
  );

  const known = keys.join('\n');
  useBrowserLayoutEffect(() => send({ type: 'left-over', ids: known.split('\n') }), [known, send]);
  useBrowserLayoutEffect(
    () => send({ type: 'hold', id: held ?? (isDevelopment ? heldPanel(window) : null) }),
    [held, send],
  );

  const isOpen = panels.open.length > 0;
  useEffect(
    () => (isOpen && rootRef.current ? listenWhileOpen(rootRef.current, send) : undefined),
    [isOpen, rootRef, send],
  );
  useBrowserLayoutEffect(() => {
    const row = rootRef.current?.querySelector<HTMLElement>('[data-ft-row]');
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
