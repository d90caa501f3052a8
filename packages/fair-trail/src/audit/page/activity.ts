/** What a page is about to do, as far as a script that ran before its own has noted it. */
export interface PageActivity {
  /** Waits without being noted itself. */
  readonly wait: (milliseconds: number) => Promise<unknown>;
  readonly timers: () => readonly PendingTimer[];
  /** How many requests of scripts have not been answered. */
  readonly requests: () => number;
  /** Focus that scripts have moved, the last ones. */
  readonly focusCalls: () => readonly { readonly element: WeakRef<Element>; readonly time: number }[];
  /** Moves focus without being noted. */
  readonly focus: (element: HTMLElement) => void;
}

export interface PendingTimer {
  /** When it runs next, in milliseconds since the page began. */
  readonly due: number;
  /** In milliseconds. */
  readonly delay: number;
  /** How many timers set each other before it: one that goes on for ever has a great one. */
  readonly depth: number;
  readonly isRepeated: boolean;
}

declare global {
  interface Window {
    fairTrailActivity?: PageActivity;
  }
}

/** Longer timers are none that a press waits for, in milliseconds: what closes by itself later is another matter. */
const longestDelay = 1000;

/** Timers that set each other more often than that go on for ever. */
const deepest = 4;

/** Whether a page is about to change by itself: a short timer runs, or a request has not been answered. */
export function isBusy(): boolean {
  const activity = window.fairTrailActivity;
  if (!activity) return false;
  const isShort = ({ delay, depth, isRepeated }: PendingTimer) =>
    !isRepeated && delay <= longestDelay && depth <= deepest;
  return activity.requests() > 0 || activity.timers().some(isShort);
}

/** Timers that will run within some time, in milliseconds. */
export function timersWithin(milliseconds: number): readonly PendingTimer[] {
  const now = performance.now();
  return (window.fairTrailActivity?.timers() ?? []).filter(({ due }) => due - now <= milliseconds);
}

/** Waits until every timer has run that was to run once within some time, in milliseconds. */
export async function untilTimersRan(milliseconds: number): Promise<void> {
  const activity = window.fairTrailActivity;
  const end = performance.now() + milliseconds;
  while (activity && performance.now() < end) {
    const left = timersWithin(end - performance.now()).filter(({ isRepeated }) => !isRepeated);
    if (left.length === 0) return;
    const next = Math.max(...left.map(({ due }) => due)) - performance.now();
    await activity.wait(Math.min(Math.max(20, next + 20), milliseconds));
  }
}
