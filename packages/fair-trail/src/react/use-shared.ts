import { useRef } from 'react';
import { shareView } from '../core/view/share.ts';
import type { ViewElement } from '../core/view/view.ts';
import { useBrowserLayoutEffect } from './trail-context.ts';

/** The view, made of the last one's parts wherever they are equal, so that only what changed renders again. */
export function useShared<View extends ViewElement | null>(view: View): View {
  const last = useRef<View | null>(null);
  // eslint-disable-next-line react-hooks/refs -- Only identities depend on it, and never what is shown.
  const shared = shareView(last.current, view);
  useBrowserLayoutEffect(() => {
    last.current = shared;
  });
  return shared;
}
