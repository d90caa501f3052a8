import type { DisclosuresState } from '../core/interaction/disclosures.ts';
import type { FoldRange } from '../core/layout/fold.ts';
import { breadcrumbJsonLd } from '../core/output/breadcrumb-data.ts';
import { breadcrumbs, foldBreadcrumbs, type Breadcrumb } from '../core/site/breadcrumbs.ts';
import type { Position } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { hasSiblings, siblingItems } from '../core/site/menus.ts';
import { breadcrumbView, type BreadcrumbViewEvent } from '../core/view/breadcrumb-view.ts';
import type { BreadcrumbsOptions } from '../core/view/component-options.ts';
import type { ViewElement } from '../core/view/view.ts';
import { focusRevealed, watchFold } from '../dom/fold-steps.ts';
import { listenForRowKeys } from '../dom/keys.ts';
import { BasePart } from './navigation-part.ts';
import { Panels } from './panels.ts';
import type { Runs } from './runs.ts';
import type { MenuOptions } from './surroundings.ts';

/** The options of breadcrumbs. */
export interface BreadcrumbsPartOptions extends BreadcrumbsOptions, MenuOptions {
  /** The slots that the app fills. */
  readonly slots: { readonly icon: boolean; readonly separator: boolean };
}

/** What breadcrumbs draw besides their options. */
export interface BreadcrumbsState {
  readonly panels: DisclosuresState;
  /** Where the reader has asked for the steps that were folded away: what they asked for holds for that page. */
  readonly revealedAt: Position | null;
  readonly measured: MeasuredFold;
}

/** The steps that have to go for the rest to stand in one line, and of how many steps that was measured. */
interface MeasuredFold {
  readonly steps: number;
  readonly range: FoldRange | null;
}

const noItems: readonly MenuItem[] = [];
const listSelector = '.ft-breadcrumb-list';

/** The way from the home page to the current one. */
export class BreadcrumbsPart extends BasePart<BreadcrumbsPartOptions, BreadcrumbsState, BreadcrumbViewEvent> {
  readonly #panels = new Panels(this);
  #revealedAt: Position | null = null;
  #measured: MeasuredFold = { steps: 0, range: null };

  send = (event: BreadcrumbViewEvent): void => {
    if (event.type === 'press') this.#panels.send(event);
    else if (event.type === 'unfold') this.#reveal();
    else this.options.trail.act(event.action);
  };

  /** What the way is as schema.org's `BreadcrumbList`, in JSON; null if that is not wanted, or cannot be said. */
  structuredData(options: BreadcrumbsPartOptions): string | null {
    const { site } = options.trail;
    return options.structuredData === true && site.origin !== null ? breadcrumbJsonLd(site, stepsOf(options)) : null;
  }

  protected stateNow(): BreadcrumbsState {
    return { panels: this.#panels.state, revealedAt: this.#revealedAt, measured: this.#measured };
  }

  protected draw(options: BreadcrumbsPartOptions, state: BreadcrumbsState): ViewElement<BreadcrumbViewEvent> | null {
    const { trail, position, fold = 'fit', current, whenNarrow, id, slots } = options;
    const steps = stepsOf(options);
    return breadcrumbView(steps, {
      wording: trail.wording,
      fold: foldOf(options, state, steps),
      revealed: state.revealedAt === position || fold === 'never',
      ...(current && { current }),
      ...(whenNarrow && { whenNarrow }),
      siblings: siblingsOf(options, state.panels),
      idPrefix: id,
      panels: state.panels,
      slots,
    });
  }

  protected override update(options: BreadcrumbsPartOptions): void {
    this.#panels.set(keysOf(options));
  }

  protected override run(root: HTMLElement, runs: Runs): void {
    const { options } = this;
    const { fold = 'fit', keepFirst = 1, keepLast = 2 } = options;
    const list = root.querySelector<HTMLElement>(listSelector);
    this.#panels.run(root, runs);
    runs.keep('keys', this.#panels.state.open.length > 0 ? [list] : null, listenForRowKeys);
    const isFitted = fold === 'fit' && this.#revealedAt !== options.position;
    const steps = stepsOf(options).length;
    runs.keep('fold', isFitted ? [list, steps, keepFirst, keepLast] : null, (of) =>
      watchFold(of, { keepFirst, keepLast }, (range) => {
        this.#measured = { steps, range };
        this.changed();
      }),
    );
  }

  #reveal(): void {
    // The button goes with what it was for; focus goes on to the first step that it has shown.
    const first = foldOf(this.options, this.read(), stepsOf(this.options))?.start ?? 0;
    this.#revealedAt = this.options.position;
    this.changed();
    this.whenDrawn(() => {
      const list = this.root?.querySelector<HTMLElement>(listSelector);
      if (list) focusRevealed(list, first);
    });
  }
}

function stepsOf({ trail, position }: BreadcrumbsPartOptions): readonly Breadcrumb[] {
  return breadcrumbs(trail.site, position, trail.records);
}

/** The steps that are folded away now. */
function foldOf(
  { position, fold = 'fit', keepFirst = 1, keepLast = 2 }: BreadcrumbsPartOptions,
  { revealedAt, measured }: BreadcrumbsState,
  steps: readonly Breadcrumb[],
): FoldRange | null {
  if (revealedAt === position || fold === 'never') return null;
  if (fold === 'fit') return measured.steps === steps.length ? measured.range : null;
  const { first, folded } = foldBreadcrumbs(steps, { keepFirst, keepLast });
  return folded.length > 0 ? { start: first.length, count: folded.length } : null;
}

/** The ids of the entries whose steps have a panel. */
function keysOf({ siblings = false, trail, position }: BreadcrumbsPartOptions): readonly string[] {
  if (!siblings) return [];
  const { site, audience, records } = trail;
  return breadcrumbs(site, position, records)
    .filter(({ entry }) => hasSiblings(site, entry, { audience, records }))
    .map(({ entry }) => entry.id);
}

/** There may be thousands beside a step: they are looked up for a panel that is to be seen. */
function siblingsOf(
  options: BreadcrumbsPartOptions,
  { open, closing }: DisclosuresState,
): Readonly<Record<string, readonly MenuItem[]>> {
  const { trail, position } = options;
  const { site, audience, records, badges } = trail;
  const itemsOf = (id: string) => {
    const entry = open.includes(id) || closing.includes(id) ? site.entry(id) : undefined;
    return entry ? siblingItems(site, entry, { position, audience, records, badges }) : noItems;
  };
  return Object.fromEntries(keysOf(options).map((id) => [id, itemsOf(id)]));
}
