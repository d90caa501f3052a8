import { useCallback, useRef, useState } from 'react';
import type { Transition } from '../core/interaction/machine.ts';
import { useBrowserLayoutEffect } from './trail-context.ts';

/**
 * A machine at work: its state, and how to tell it of events. What it asks for is carried out once the document shows its
 * new state: what moves, and where focus can go, is to be seen only then.
 */
export function useMachine<State, Event, Effect>(
  next: (state: State, event: Event) => Transition<State, Effect>,
  initial: () => State,
  carryOut: (effect: Effect, send: (event: Event) => void) => void,
): readonly [state: State, send: (event: Event) => void] {
  const [state, setState] = useState(initial);
  // Effects may come without a new state.
  const [round, setRound] = useState(0);
  const latest = useRef(state);
  const waiting = useRef<Effect[]>([]);
  const send = useCallback(
    (event: Event) => {
      // Two events can come before the next render; the second must see what the first did.
      const { state: after, effects } = next(latest.current, event);
      latest.current = after;
      setState(after);
      if (effects.length === 0) return;
      waiting.current.push(...effects);
      setRound((count) => count + 1);
    },
    [next],
  );
  const carry = useRef(carryOut);
  useBrowserLayoutEffect(() => {
    carry.current = carryOut;
  });
  useBrowserLayoutEffect(() => {
    for (const effect of waiting.current.splice(0)) carry.current(effect, send);
  }, [state, round, send]);
  return [state, send];
}
