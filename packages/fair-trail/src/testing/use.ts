import { NavigationFailure, NotJudged, type FailureCode } from './failures.ts';
import type { Ability, Host, Input } from './host.ts';
import type { LinkReading, PageReading } from '../reading/page-reading.ts';
import { quoted } from './tree.ts';
import { waitUntil } from './waiting.ts';

/**
 * How a test uses a page.
 */
export interface NavigationOptions {
  /** With what it is used. Default: `mouse`. */
  readonly by?: Input;
  /** How long is waited for what must come, in milliseconds. Default: 3000. */
  readonly patience?: number;
}

type FailureReport = ConstructorParameters<typeof NavigationFailure>[1] & { readonly code: FailureCode };

/** One way of using a page: with what, and how long is waited. */
export class Use {
  readonly host: Host;
  readonly input: Input;
  readonly patience: number;

  constructor(host: Host, input: Input, patience: number) {
    this.host = host;
    this.input = input;
    this.patience = patience;
  }

  by(input: Input): Use {
    return new Use(this.host, input, this.patience);
  }

  /** @throws NotJudged where the host cannot judge it */
  must(ability: Ability): void {
    const reason = this.host.cannot[ability];
    if (reason !== undefined) throw new NotJudged(this.host.name, reason);
  }

  /** What is looked for may still be on its way. */
  async findSoon<Thing>(find: (page: PageReading) => Thing): Promise<Thing> {
    const look = async () => {
      const page = await this.host.ask('read');
      try {
        return { found: find(page) };
      } catch (error) {
        return { error };
      }
    };
    const { answer } = await waitUntil(look, (one) => !('error' in one), this.patience);
    if ('error' in answer) throw answer.error;
    return answer.found;
  }

  async wait<Answer>(
    look: () => Promise<Answer>,
    isSo: (answer: Answer) => boolean,
    otherwise: (answer: Answer, within: string) => FailureReport | Promise<FailureReport>,
  ): Promise<Answer> {
    const waited = await waitUntil(look, isSo, this.patience);
    if (waited.isSo) return waited.answer;
    const { code, ...details } = await otherwise(waited.answer, `within ${this.patience} ms`);
    throw new NavigationFailure(code, details);
  }

  /** Until what was begun has been drawn. */
  async settle(): Promise<void> {
    await this.host.ask('settle');
  }

  /** Presses something as the visitor does: by the pointer, or by keys alone. */
  async activate(element: number, name: string): Promise<void> {
    if (this.input === 'keyboard') {
      await this.reach(element, name);
      await this.host.key('Enter');
      return;
    }
    if (this.input === 'touch') this.must('touch');
    try {
      await this.host.press(element, this.input);
    } catch (error) {
      if (error instanceof NavigationFailure || error instanceof NotJudged) throw error;
      throw new NavigationFailure('not-pressed', {
        wanted: `“${name}” was to be pressed with ${this.input === 'touch' ? 'a finger' : 'the mouse'}.`,
        found: reasonOf(error),
        likely: 'something lies over it, it moves on and on, it stands outside the window, or it has just gone.',
      });
    }
  }

  /**
   * Follows a link, and waits until the visitor is there.
   *
   * @throws NavigationFailure `leads-elsewhere`, `never-arrived`
   */
  async follow(link: LinkReading, name: string): Promise<void> {
    const before = await this.host.ask('place');
    const [from, to] = [new URL(before.url), new URL(link.href)];
    if (link.opensElsewhere || to.origin !== from.origin) {
      throw new NavigationFailure('leads-elsewhere', {
        wanted: `“${name}” was to be followed.`,
        found: `a link ${link.opensElsewhere ? 'into another tab' : 'to another site'}: ${link.href}`,
        likely: 'this is meant to be so, and the test can only ask where it leads: use `address`.',
      });
    }
    const documentBefore = await this.host.ask('document');
    await this.activate(link.element, name);
    await this.wait(
      async () => ({ ...(await this.host.ask('place')), document: await this.host.ask('document') }),
      ({ url, document }) => url !== before.url || document !== documentBefore || isSameAddress(from, to),
      ({ url }, within) => ({
        code: 'never-arrived',
        wanted: `“${name}” leads to ${link.written}; it was followed, and no page came ${within}.`,
        found: `the address is still ${url}`,
        likely: /^#?$/u.test(link.written)
          ? 'its address is a placeholder that leads nowhere.'
          : 'something prevents what the link does by itself (preventDefault) and goes nowhere, or the page asks before it is left.',
      }),
    );
    await this.settle();
  }

  /**
   * Goes with Tab, or Shift+Tab, until it has focus; within tabs, menus and trees with the arrow keys.
   *
   * @throws NavigationFailure `not-reached`
   */
  async reach(element: number, name: string): Promise<void> {
    this.must('focus order');
    const { count, through } = await this.host.ask('stops', element);
    const stop = through ?? element;
    const direction = await this.host.ask('directionTo', stop);
    const passed: string[] = [];
    // The last stop may be the browser's own.
    const most = count + 5;
    const walk = async (to: number, key: string, steps: number) => {
      let focus = await this.host.ask('focus');
      for (let step = 0; step < steps && focus?.element !== to; step += 1) {
        await this.host.key(key);
        focus = await this.host.ask('focus');
        passed.push(focus?.name ?? 'the page');
      }
      return focus?.element === to;
    };
    const key = direction === 'backward' ? 'Shift+Tab' : 'Tab';
    const isAtStop = (await walk(stop, key, most)) || (await walk(stop, 'Tab', most));
    const isThere =
      isAtStop &&
      (through === null || (await walk(element, 'ArrowRight', count)) || (await walk(element, 'ArrowDown', count)));
    if (isThere) return;
    throw new NavigationFailure('not-reached', {
      wanted: `“${name}” was to be reached with ${key}${through === null ? '' : ' and the arrow keys'}.`,
      found: `focus stopped at ${quoted([...new Set(passed)])}`,
      likely:
        'it is no link with an address and no button, has tabindex="-1", or something before it keeps focus to itself.',
    });
  }
}

function isSameAddress(one: URL, other: URL): boolean {
  return one.pathname === other.pathname && one.search === other.search;
}

function reasonOf(error: unknown): string {
  return error instanceof Error
    ? (error.message.split('\n').find((line) => line.trim() !== '') ?? error.name)
    : String(error);
}
