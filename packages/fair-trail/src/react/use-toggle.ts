import { useCallback, useEffect, useRef, useState, type RefObject } from 'react';
import { type DisclosureEffect, type DisclosureEvent, nextDisclosure } from '../core/interaction/disclosure.ts';
import { whenAnimated } from '../dom/animations.ts';
import { carryOutDisclosure, type DisclosureParts, listenWhileExpanded } from '../dom/disclosure.ts';
import { coverScreen } from '../dom/overlay.ts';
import { useBrowserLayoutEffect } from './trail-context.ts';

interface ToggleSettings {
  readonly rootRef: RefObject<HTMLElement | null>;
  /** Of the panel that the toggle shows. */
  readonly panelId: string;
  readonly expanded: boolean | undefined;
  readonly onToggle: ((expanded: boolean) => void) | undefined;
  /** Whether the open panel lies over the whole page. */
  readonly covers: boolean;
}

interface Toggle {
  readonly isExpanded: boolean;
  /** Whether the panel is on its way out. */
  readonly isClosing: boolean;
  readonly send: (event: DisclosureEvent) => void;
}

/** A bar's toggle and its panel: controlled by the app, or by itself. */
export function useToggle({ rootRef, panelId, expanded, onToggle, covers }: ToggleSettings): Toggle {
  const [ownExpanded, setOwnExpanded] = useState(false);
  const isExpanded = expanded ?? ownExpanded;
  const isControlled = expanded !== undefined;
  const latest = useRef({ isExpanded, isControlled, onToggle });
  useBrowserLayoutEffect(() => {
    latest.current = { isExpanded, isControlled, onToggle };
  });

  const parts = useCallback((): DisclosureParts | null => {
    const panel = rootRef.current?.ownerDocument.getElementById(panelId);
    const trigger = rootRef.current?.querySelector<HTMLElement>('.ft-toggle');
    return panel && trigger ? { trigger, panel } : null;
  }, [rootRef, panelId]);

  // What the app has been asked for. It may agree later, and only then is there anything to carry out.
  const asked = useRef<readonly DisclosureEffect[]>([]);
  const carryOut = useCallback(
    (effects: readonly DisclosureEffect[]) => {
      const present = parts();
      if (!present) return;
      for (const effect of effects) carryOutDisclosure(present, effect);
    },
    [parts],
  );
  const send = useCallback(
    (event: DisclosureEvent) => {
      const { isExpanded: was, isControlled } = latest.current;
      const { state, effects } = nextDisclosure({ expanded: was }, event);
      const isChange = state.expanded !== was;
      if (isChange && !isControlled) {
        // Two events can come before the next render; the second must see what the first did.
        latest.current.isExpanded = state.expanded;
        setOwnExpanded(state.expanded);
      }
      if (isChange) latest.current.onToggle?.(state.expanded);
      // A trigger that vanishes takes focus with it, whatever the app answers.
      const mustWait = isChange && isControlled && event.type !== 'room-enough';
      if (mustWait) asked.current = effects;
      else carryOut(effects);
    },
    [carryOut],
  );
  useBrowserLayoutEffect(() => {
    carryOut(asked.current);
    asked.current = [];
  }, [isExpanded, carryOut]);

  // In the same drawing as the closing itself, which the stylesheet's motion begins with.
  const [motion, setMotion] = useState({ isExpanded, isClosing: false });
  if (motion.isExpanded !== isExpanded) setMotion({ isExpanded, isClosing: !isExpanded });
  const isClosing = !isExpanded && (motion.isExpanded || motion.isClosing);
  useBrowserLayoutEffect(() => {
    if (!isClosing) return;
    whenAnimated(parts()?.panel ?? null, () => setMotion((now) => ({ ...now, isClosing: false })));
  }, [isClosing, parts]);

  useBrowserLayoutEffect(() => {
    if (!isExpanded || !covers || !rootRef.current) return undefined;
    return coverScreen(rootRef.current);
  }, [isExpanded, covers, rootRef]);

  useEffect(() => {
    return isExpanded && rootRef.current ? listenWhileExpanded(rootRef.current, send) : undefined;
  }, [isExpanded, rootRef, send]);

  return { isExpanded, isClosing, send };
}
