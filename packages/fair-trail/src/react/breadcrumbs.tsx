import type { BreadcrumbsOptions } from '../core/view/component-options.ts';
import { forwardRef, useEffect, useId, useMemo, useRef, useState, type HTMLAttributes, type ReactNode } from 'react';
import type { DisclosuresEvent } from '../core/interaction/disclosures.ts';
import type { FoldRange } from '../core/layout/fold.ts';
import { breadcrumbJsonLd } from '../core/output/breadcrumb-data.ts';
import { breadcrumbs, foldBreadcrumbs } from '../core/site/breadcrumbs.ts';
import type { Position } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { hasSiblings, siblingItems } from '../core/site/menus.ts';
import { breadcrumbView } from '../core/view/breadcrumb-view.ts';
import { focusRevealed, watchFold } from '../dom/fold-steps.ts';
import { listenForRowKeys } from '../dom/keys.ts';
import { iconSlot } from './slots.ts';
import { useBrowserLayoutEffect, usePosition, useSurroundings } from './trail-context.ts';
import { usePanels } from './use-panels.ts';
import { useRoot } from './use-root.ts';
import { useShared } from './use-shared.ts';
import { useStable } from './use-stable.ts';
import { ViewRoot } from './view.tsx';

/**
 * The properties of `Breadcrumbs`.
 */
export interface BreadcrumbsProps extends BreadcrumbsOptions, Omit<HTMLAttributes<HTMLElement>, 'children'> {
  /** Stands between steps, hidden from assistive technology. Default: a stroke. */
  readonly separator?: ReactNode;
  /** Draws an icon by its name in the site file. Its drawing should be hidden from assistive technology. */
  readonly icon?: (name: string) => ReactNode;
}

/**
 * The way from the home page to the current one. Nothing on the home page itself.
 *
 * @example
 * <Breadcrumbs keepLast={2} />
 */
export const Breadcrumbs = forwardRef<HTMLElement, BreadcrumbsProps>(function Breadcrumbs(props, ref) {
  const { fold = 'fit', keepFirst = 1, keepLast = 2, current = 'text', whenNarrow = 'fold', ...behind } = props;
  const { siblings = false, separator, icon, structuredData = false, ...attributes } = behind;
  const { site, audience, records, badges, wording } = useSurroundings();
  const position = usePosition();
  const idPrefix = useId();
  const root = useRoot(ref);
  const steps = useMemo(() => breadcrumbs(site, position, records), [site, position, records]);

  // What the reader has asked for holds for the page that they are on.
  const [revealedAt, setRevealedAt] = useState<Position | null>(null);
  const revealed = revealedAt === position;
  const measured = useFold(root, fold === 'fit' && !revealed, { steps: steps.length, keepFirst, keepLast });
  const always = useMemo(() => {
    const { first, folded } = foldBreadcrumbs(steps, { keepFirst, keepLast });
    return folded.length > 0 ? { start: first.length, count: folded.length } : null;
  }, [steps, keepFirst, keepLast]);
  const folded = revealed || fold === 'never' ? null : fold === 'always' ? always : measured;

  const keys = useMemo(() => {
    if (!siblings) return [];
    const entries = steps.map(({ entry }) => entry).filter((entry) => hasSiblings(site, entry, { audience, records }));
    return entries.map(({ id }) => id);
  }, [siblings, site, steps, audience, records]);
  const { panels, sendToPanels } = usePanels({ rootRef: root, keys, hoverOpens: false, held: undefined });
  // There may be thousands beside a step: they are looked up for a panel that is to be seen.
  const beside = useMemo(() => {
    const shown = [...panels.open, ...panels.closing];
    const visit = { position, audience, records, badges };
    return Object.fromEntries(
      keys.map((id) => {
        const entry = shown.includes(id) ? site.entry(id) : undefined;
        return [id, entry ? siblingItems(site, entry, visit) : noItems];
      }),
    );
  }, [keys, panels.open, panels.closing, site, position, audience, records, badges]);
  const isOpen = panels.open.length > 0;
  useEffect(() => {
    const list = isOpen ? root.current?.querySelector<HTMLElement>('.ft-breadcrumb-list') : null;
    return list ? listenForRowKeys(list) : undefined;
  }, [root, isOpen]);

  // The button goes with what it was for; focus goes on to the first that it has shown.
  const revealing = useRef<number | null>(null);
  useBrowserLayoutEffect(() => {
    const list = root.current?.querySelector<HTMLElement>('.ft-breadcrumb-list');
    if (revealed && revealing.current !== null && list) focusRevealed(list, revealing.current);
    revealing.current = null;
  }, [revealed]);
  const send = useStable((given: unknown) => {
    const event = given as DisclosuresEvent | { readonly type: 'unfold' };
    if (event.type !== 'unfold') {
      sendToPanels(event);
      return;
    }
    revealing.current = folded?.start ?? 0;
    setRevealedAt(position);
  });

  const slots = { icon: icon !== undefined, separator: separator !== undefined };
  const view = useShared(
    breadcrumbView(steps, {
      wording,
      fold: folded,
      revealed: revealed || fold === 'never',
      current,
      whenNarrow,
      siblings: beside,
      idPrefix,
      panels,
      slots,
    }),
  );
  const contents = useMemo(() => ({ separator: () => separator, icon: iconSlot(icon) }), [separator, icon]);
  if (!view) return null;
  const surroundings = { slots: contents, send };
  const way = <ViewRoot view={view} surroundings={surroundings} attributes={attributes} elementRef={root} />;
  const data = structuredData && site.origin !== null ? breadcrumbJsonLd(site, steps) : null;
  if (data === null) return way;
  return (
    <>
      {way}
      <script type="application/ld+json" dangerouslySetInnerHTML={{ __html: data }} />
    </>
  );
});

const noItems: readonly MenuItem[] = [];

interface FoldSettings {
  readonly steps: number;
  readonly keepFirst: number;
  readonly keepLast: number;
}

/** The steps that have to go for the rest to stand in one line; null while that has not been measured. */
function useFold(
  rootRef: { readonly current: HTMLElement | null },
  isFitted: boolean,
  { steps, keepFirst, keepLast }: FoldSettings,
): FoldRange | null {
  const [fold, setFold] = useState<{ readonly steps: number; readonly range: FoldRange | null }>({
    steps,
    range: null,
  });
  useBrowserLayoutEffect(() => {
    const list = rootRef.current?.querySelector<HTMLElement>('.ft-breadcrumb-list');
    if (!isFitted || !list) return undefined;
    return watchFold(list, { keepFirst, keepLast }, (range) => setFold({ steps, range }));
  }, [rootRef, isFitted, steps, keepFirst, keepLast]);
  return isFitted && fold.steps === steps ? fold.range : null;
}
