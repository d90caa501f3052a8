import type { Driver } from './driver.ts';
import { DriverFailure } from './driver-failure.ts';

/** Where a WebDriver server answers, and what is asked of its browser. */
export interface WebDriverOptions {
  /** Such as `http://127.0.0.1:4444`. */
  readonly server: string;
  /** The `alwaysMatch` of the section "Capabilities" of the standard. Default: none. */
  readonly capabilities?: Readonly<Record<string, unknown>>;
}

/** The key under which the standard keeps an element’s reference. */
const elementKey = 'element-6066-11e4-a52e-4f735466cecf';

interface Session {
  readonly sessionId: string;
  readonly capabilities: { readonly browserName?: string; readonly browserVersion?: string };
}

/**
 * Opens a window of a browser through a server that speaks WebDriver, the W3C standard: such as WebKitWebDriver for WebKit.
 *
 * @returns a driver for `driverHost`
 * @throws DriverFailure where the server refuses; `code` is the standard’s
 * @example
 * const driver = await openWebDriver({ server: 'http://127.0.0.1:4444' });
 * const visitor = navigation(driverHost(driver));
 * await visitor.visit('http://127.0.0.1:8080/');
 */
export async function openWebDriver({ server, capabilities = {} }: WebDriverOptions): Promise<Driver> {
  const ask = async (method: 'GET' | 'POST' | 'DELETE', path: string, body?: unknown): Promise<unknown> => {
    let response: Response;
    try {
      response = await fetch(new URL(path, server), {
        method,
        ...(method === 'POST' && {
          body: JSON.stringify(body ?? {}),
          headers: { 'Content-Type': 'application/json; charset=utf-8' },
        }),
      });
    } catch (error) {
      throw new DriverFailure('no answer', `No WebDriver server answers at ${server}: ${String(error)}`);
    }
    const { value } = (await response.json()) as { value: unknown };
    if (response.ok) return value;
    const { error = 'unknown error', message = '' } = value as { error?: string; message?: string };
    throw new DriverFailure(error, message === '' ? `The browser refused ${method} ${path}` : message);
  };
  const session = (await ask('POST', '/session', { capabilities: { alwaysMatch: capabilities } })) as Session;
  const at = `/session/${session.sessionId}`;
  let frame: string | null = null;
  let isInFrame = false;
  const enterFrame = async () => {
    isInFrame = false;
    await ask('POST', `${at}/frame`, { id: null });
    if (frame === null) return;
    const element = await run(`return ${frame}`);
    if (!element) throw new DriverFailure('no such frame', 'The frame is not there');
    await ask('POST', `${at}/frame`, { id: element });
    isInFrame = true;
  };
  const run = (script: string) => ask('POST', `${at}/execute/sync`, { script, args: [] });
  /** A frame that was made again has to be entered again. */
  const within = async <Answer>(act: () => Promise<Answer>): Promise<Answer> => {
    try {
      if (frame !== null && !isInFrame) await enterFrame();
      return await act();
    } catch (error) {
      const isGone = error instanceof DriverFailure && /no such (?:frame|window)/u.test(error.code);
      if (!isGone || frame === null) throw error;
      await enterFrame();
      return await act();
    }
  };
  const evaluate = async (expression: string): Promise<unknown> => {
    // A promise that a script gives is not waited for by every browser: what is called back is.
    const script = `const end = arguments[arguments.length - 1];
      (async () => (${expression}))().then((value) => end([value ?? null]), (error) => end(String(error)))`;
    const answer = await within(() => ask('POST', `${at}/execute/async`, { script, args: [] }));
    if (Array.isArray(answer)) return answer[0];
    throw new DriverFailure('javascript error', String(answer));
  };
  return {
    name: [session.capabilities.browserName ?? 'a browser', session.capabilities.browserVersion]
      .filter((part) => part !== undefined)
      .join(' '),
    evaluate,
    find: async (expression) => {
      const found = await within(() => run(`return (${expression}) ?? null`));
      return found !== null && typeof found === 'object' && elementKey in found ? found : null;
    },
    perform: async (sources) => {
      await within(() => ask('POST', `${at}/actions`, { actions: sources }));
    },
    resize: async ({ width, height }) => {
      // The size of the window is set, and the page has what its frame and bars leave: it is set until it fits.
      let asked = { width, height };
      for (let attempt = 0; attempt < 5; attempt += 1) {
        await ask('POST', `${at}/window/rect`, asked);
        const [w, h] = (await settledSize(ask, at)) as [number, number];
        if (w === width && h === height) return;
        asked = { width: asked.width + width - w, height: asked.height + height - h };
      }
    },
    visit: async (address) => {
      isInFrame = false;
      await ask('POST', `${at}/url`, { url: address });
    },
    reload: async () => {
      isInFrame = false;
      await ask('POST', `${at}/refresh`);
    },
    focus: async () => {
      await ask('POST', `${at}/window`, { handle: await ask('GET', `${at}/window`) });
      isInFrame = false;
    },
    enter: async (expression) => {
      frame = expression;
      await enterFrame();
    },
    close: async () => {
      await ask('DELETE', at);
    },
  };
}

/** The size of the page, once two looks see the same. */
async function settledSize(
  ask: (method: 'POST', path: string, body: unknown) => Promise<unknown>,
  at: string,
): Promise<unknown> {
  const script = `const end = arguments[0];
    let before = '';
    let looks = 0;
    const look = () => {
      const now = [innerWidth, innerHeight];
      looks += 1;
      if (String(now) === before || looks > 40) end(now);
      else { before = String(now); setTimeout(look, 50) }
    };
    look()`;
  return ask('POST', `${at}/execute/async`, { script, args: [] });
}
