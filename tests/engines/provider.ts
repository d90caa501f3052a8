import { fileURLToPath } from 'node:url';
import { defineBrowserProvider, parseKeyDef } from '@vitest/browser';
import type { BrowserProvider, BrowserProviderOption, TestProject } from 'vitest/node';
import type { Driver, WebElement } from '../../packages/fair-trail/src/testing/drivers/driver.ts';
import {
  characterOf,
  pointerAway,
  pointerOver,
  pointerPress,
} from '../../packages/fair-trail/src/testing/drivers/input.ts';
import { readyToPress } from '../../packages/fair-trail/src/testing/drivers/ready-to-press.ts';

/** An engine that tests of the browser mode run in, driven by the drivers of the testing kit. */
export interface Engine {
  readonly name: 'firefox' | 'webkit';
  readonly open: () => Promise<Driver>;
  /** Whether a touch is one: WebKit's driver makes a mouse of it. */
  readonly hasTouch: boolean;
}

/** How long a press may look for its target in rest, in milliseconds. */
const timeout = 15_000;

/** The frame that the runner puts each file of tests into. */
const frame = 'document.querySelector("iframe[data-vitest]")';

export function engineProvider(engine: Engine): BrowserProviderOption {
  return defineBrowserProvider({
    name: 'driver',
    supportedBrowser: [engine.name],
    options: {},
    providerFactory: (project) => new EngineProvider(project, engine),
  });
}

interface ActionOptions {
  readonly timeout?: number;
  readonly button?: 'left' | 'middle' | 'right';
  readonly modifiers?: readonly string[];
}

export class EngineProvider implements BrowserProvider {
  readonly name = 'driver';
  readonly supportsParallelism = false;
  readonly initScripts = [fileURLToPath(new URL('locators.js', import.meta.url))];
  readonly #engine: Engine;
  #driver: Driver | null = null;

  constructor(project: TestProject, engine: Engine) {
    this.#engine = engine;
    const commands: Record<string, (...given: never[]) => Promise<unknown>> = {
      __vitest_click: (number: number, options: ActionOptions = {}) => this.#press(number, options, 1),
      __vitest_dblClick: (number: number, options: ActionOptions = {}) => this.#press(number, options, 2),
      __vitest_hover: async (number: number, options: ActionOptions = {}) => {
        const element = await this.#ready(number, options.timeout);
        await this.#held.perform(pointerOver(element));
      },
      __vitest_unhover: () => this.#held.perform(pointerAway()),
      __vitest_fill: async (number: number, text: string) => {
        await this.#held.evaluate(`(() => {
          const field = ${kept(number)};
          field.focus();
          field.select();
        })()`);
        await this.#keys(text === '' ? '{Delete}' : text);
      },
      __vitest_selectOptions: (number: number, chosen: string | readonly string[]) =>
        this.#held.evaluate(`(() => {
          const field = ${kept(number)};
          const chosen = ${JSON.stringify([chosen].flat())};
          for (const option of field.options) option.selected = chosen.includes(option.value) || chosen.includes(option.label);
          for (const type of ['input', 'change']) field.dispatchEvent(new Event(type, { bubbles: true }));
        })()`),
      __vitest_tab: ({ shift = false }: { shift?: boolean } = {}) =>
        this.#keys(shift ? '{Shift>}{Tab}{/Shift}' : '{Tab}'),
      __vitest_keyboard: async (text: string) => ({ unreleased: await this.#keys(text) }),
      __vitest_cleanup: async ({ unreleased }: { unreleased: readonly string[] }) => {
        for (const key of unreleased) await this.#key('keyUp', key);
      },
    };
    for (const [name, command] of Object.entries(commands)) {
      project.browser?.registerCommand(name as never, ((_: unknown, ...given: never[]) => command(...given)) as never);
    }
  }

  get #held(): Driver {
    if (!this.#driver) throw new Error('The browser is not open.');
    return this.#driver;
  }

  async openPage(_: string, url: string): Promise<void> {
    this.#driver ??= await this.#engine.open();
    await this.#driver.enter(null);
    await this.#driver.resize({ width: 1400, height: 1000 });
    await this.#driver.visit(url);
    // The runner has not put the frame there yet.
    await this.#driver.enter(frame).catch(() => undefined);
  }

  getCommandsContext(): Record<string, unknown> {
    return {};
  }

  async close(): Promise<void> {
    await this.#driver?.close();
    this.#driver = null;
  }

  async #ready(number: number, within = timeout): Promise<WebElement> {
    const inTheWay = await this.#held.evaluate(readyToPress(kept(number), within));
    const element = await this.#held.find(kept(number));
    if (inTheWay === '' && element) return element;
    throw new Error(`It could not be pressed within ${within} ms: ${String(inTheWay)}`);
  }

  async #press(number: number, { button = 'left', modifiers = [], timeout: within }: ActionOptions, count: number) {
    const element = await this.#ready(number, within);
    for (const key of modifiers) await this.#key('keyDown', key);
    await this.#held.perform(
      pointerPress(element, 'mouse', { count, button: ['left', 'middle', 'right'].indexOf(button) }),
    );
    for (const key of modifiers) await this.#key('keyUp', key);
  }

  /** Gives the page of the test the focus: a test may have left it in the browser's own bars. */
  async focus(): Promise<void> {
    await this.#held.focus();
    await this.#held.evaluate('window.focus()');
  }

  /** A touch in the middle of what a selector finds, as locators write it. */
  async tap(selector: string): Promise<void> {
    const expression = `window.fairTrailFind(${JSON.stringify(selector)})`;
    const inTheWay = await this.#held.evaluate(readyToPress(expression, timeout));
    const element = await this.#held.find(expression);
    if (inTheWay !== '' || !element) throw new Error(`It could not be touched: ${String(inTheWay)}`);
    await this.#held.perform(pointerPress(element, this.#engine.hasTouch ? 'touch' : 'mouse'));
  }

  #key(type: 'keyDown' | 'keyUp', key: string) {
    return this.#held.perform([{ type: 'key', id: 'keyboard', actions: [{ type, value: characterOf(key) }] }]);
  }

  /** Keys as the runner writes them: `{Shift>}{Tab}{/Shift}`. */
  async #keys(text: string): Promise<string[]> {
    // Keys go to the frame only where that has focus.
    await this.#held.evaluate(`(() => {
      if (!document.hasFocus() || document.activeElement === null || document.activeElement === document.body) window.focus();
    })()`);
    const held = new Set<string>();
    const actions: { type: 'keyDown' | 'keyUp'; value: string }[] = [];
    for (const { keyDef, releasePrevious, releaseSelf, repeat } of parseKeyDef(text)) {
      const key = keyDef.key ?? '';
      const value = characterOf(key);
      if (releasePrevious) {
        actions.push({ type: 'keyUp', value });
        held.delete(key);
        continue;
      }
      for (let time = 0; time < repeat; time += 1) actions.push({ type: 'keyDown', value });
      if (releaseSelf) actions.push({ type: 'keyUp', value });
      else held.add(key);
    }
    await this.#held.perform([{ type: 'key', id: 'keyboard', actions }]);
    return [...held];
  }
}

function kept(number: number): string {
  return `window.fairTrailKept[${number}]`;
}
