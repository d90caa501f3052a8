import {
  initialAnnex,
  nextAnnex,
  type AnnexEffect,
  type AnnexEvent,
  type AnnexState,
} from '../core/interaction/annex.ts';
import { watchFocusWithin, type FocusWatch } from '../dom/focus.ts';
import { queryValue, withQueryValue } from '../dom/query.ts';
import { carryOutAnnex, listenForAnnexEscape } from '../dom/sidebar.ts';
import type { PartHost } from './navigation-part.ts';
import { Running } from './running.ts';
import type { Runs } from './runs.ts';
import type { Surroundings } from './surroundings.ts';

interface AnnexOptions {
  readonly url: string;
  readonly parameter: string;
  readonly navigate: Surroundings['navigate'];
  /** Whether there is an annex of that name: an address may name what there is no more. */
  readonly isChoice: (id: string) => boolean;
}

/** The annex that the address asks for. */
export class SidebarAnnex {
  readonly #running: Running<AnnexState, AnnexEvent, AnnexEffect>;
  #options: AnnexOptions;
  #focus: FocusWatch | null = null;

  constructor(host: PartHost, options: AnnexOptions) {
    this.#options = options;
    this.#running = new Running(host, nextAnnex, initialAnnex(askedIn(options)), (effect) => {
      if (effect.type === 'navigate') this.#navigate(effect.id, effect.replace);
      else if (host.root) carryOutAnnex(host.root, effect, this.send, () => this.#focus?.isWithin() === true);
    });
  }

  get state(): AnnexState {
    return this.#running.state;
  }

  send = (event: AnnexEvent): void => this.#running.send(event);

  /** The document shows these options. */
  set(options: AnnexOptions): void {
    this.#options = options;
    this.send({ type: 'address', id: askedIn(options) });
  }

  run(root: HTMLElement, runs: Runs): void {
    const { shown, leaving } = this.state;
    runs.keep('leave the annex', shown !== null && !leaving ? [root] : null, (sidebar) =>
      listenForAnnexEscape(sidebar, this.send),
    );
    // By the one that is shown: what takes its place is another element.
    const annex = shown === null ? null : root.querySelector<HTMLElement>('.ft-annex');
    runs.keep('focus in the annex', [annex], (element) => {
      this.#focus = watchFocusWithin(element);
      return this.#focus.end;
    });
  }

  #navigate(id: string | null, isReplaced: boolean): void {
    const { url, parameter, navigate } = this.#options;
    navigate(withQueryValue(url, parameter, id), { history: isReplaced ? 'replace' : 'push' });
  }
}

function askedIn({ url, parameter, isChoice }: AnnexOptions): string | null {
  const asked = queryValue(url, parameter);
  return asked !== null && isChoice(asked) ? asked : null;
}
