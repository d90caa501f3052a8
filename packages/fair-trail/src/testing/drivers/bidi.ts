import type { Driver } from './driver.ts';
import { DriverFailure } from './driver-failure.ts';

/** As much as is used of a `WebSocket`: the one of browsers and Node 22, or of a package. */
export interface MessageSocket {
  readonly send: (text: string) => void;
  readonly close: () => void;
  readonly addEventListener: {
    (type: 'message', listener: (event: { readonly data: unknown }) => void): void;
    (type: 'close' | 'open' | 'error', listener: () => void): void;
  };
  /** 0 while it is being opened, 1 once it is open. */
  readonly readyState: number;
}

/** A connection to a browser, and what is asked of it. */
export interface BidiOptions {
  /** Connected to the browser’s address that ends with `/session`. */
  readonly socket: MessageSocket;
  /** The `alwaysMatch` of the section "session.new" of the standard. Default: none. */
  readonly capabilities?: Readonly<Record<string, unknown>>;
}

interface Answer {
  readonly id?: number;
  readonly type: string;
  readonly error?: string;
  readonly message?: string;
  readonly result?: unknown;
}

interface RemoteValue {
  readonly type: string;
  readonly value?: unknown;
  readonly sharedId?: string;
}

interface Evaluated {
  readonly type: 'success' | 'exception';
  readonly result: RemoteValue;
  readonly exceptionDetails?: { readonly text: string };
}

/**
 * Opens a window of a browser that speaks WebDriver BiDi, the W3C standard, such as Firefox when it is started with
 * `--remote-debugging-port`.
 *
 * @returns a driver for `driverHost`
 * @throws DriverFailure where the browser refuses; `code` is the standard’s
 * @example
 * const driver = await openBidi({ socket: new WebSocket('ws://127.0.0.1:9222/session') });
 * const visitor = navigation(driverHost(driver));
 * await visitor.visit('http://127.0.0.1:8080/');
 */
export async function openBidi({ socket, capabilities = {} }: BidiOptions): Promise<Driver> {
  const connection = new BidiConnection(socket);
  await connection.opened;
  const session = (await connection.ask('session.new', { capabilities: { alwaysMatch: capabilities } })) as {
    capabilities: { browserName?: string; browserVersion?: string };
  };
  // The window that is there from the start never has focus in Firefox.
  const { context } = (await connection.ask('browsingContext.create', { type: 'tab' })) as { context: string };
  let frame: string | null = null;
  let inFrame: string | null = null;

  const run = async (expression: string, target = context): Promise<RemoteValue> => {
    const answer = (await connection.ask('script.evaluate', {
      expression,
      target: { context: target },
      awaitPromise: true,
      serializationOptions: { maxDomDepth: 0 },
      // A press by a script is a press by a person to what asks for one.
      userActivation: false,
    })) as Evaluated;
    if (answer.type === 'success') return answer.result;
    throw new DriverFailure('javascript error', answer.exceptionDetails?.text ?? 'the script failed');
  };
  const enterFrame = async () => {
    inFrame = null;
    if (frame === null) return;
    const entered = await run(`(${frame})?.contentWindow ?? null`);
    const { context: found } = (entered.value ?? {}) as { context?: string };
    if (found === undefined) throw new DriverFailure('no such frame', 'The frame is not there');
    inFrame = found;
  };
  /** A frame that was made again has to be entered again. */
  const within = async <Answered>(act: (target: string) => Promise<Answered>): Promise<Answered> => {
    try {
      if (frame !== null && inFrame === null) await enterFrame();
      return await act(inFrame ?? context);
    } catch (error) {
      const isGone = error instanceof DriverFailure && error.code.includes('no such frame');
      if (!isGone || frame === null) throw error;
      await enterFrame();
      return act(inFrame ?? context);
    }
  };
  return {
    name: [session.capabilities.browserName ?? 'a browser', session.capabilities.browserVersion]
      .filter((part) => part !== undefined)
      .join(' '),
    evaluate: async (expression) =>
      plainValue(await within((target) => run(`(async () => (${expression}))()`, target))),
    find: async (expression) => {
      const found = await within((target) => run(`(${expression}) ?? null`, target));
      return found.type === 'node' ? { type: 'element', element: { sharedId: found.sharedId } } : null;
    },
    perform: async (sources) => {
      await within((target) => connection.ask('input.performActions', { context: target, actions: sources }));
    },
    resize: async (viewport) => {
      await connection.ask('browsingContext.setViewport', { context, viewport });
    },
    visit: async (url) => {
      inFrame = null;
      await connection.ask('browsingContext.navigate', { context, url, wait: 'complete' });
    },
    reload: async () => {
      inFrame = null;
      await connection.ask('browsingContext.reload', { context, wait: 'complete' });
    },
    focus: async () => {
      await connection.ask('browsingContext.activate', { context });
    },
    enter: async (expression) => {
      frame = expression;
      inFrame = null;
      if (frame !== null) await enterFrame();
    },
    close: async () => {
      await connection.ask('session.end', {});
      socket.close();
    },
  };
}

/** Commands and their answers over one socket. */
class BidiConnection {
  readonly opened: Promise<void>;
  readonly #socket: MessageSocket;
  readonly #waiting = new Map<number, { resolve: (result: unknown) => void; reject: (error: Error) => void }>();
  #last = 0;
  #isClosed = false;

  constructor(socket: MessageSocket) {
    this.#socket = socket;
    this.opened = new Promise((resolve, reject) => {
      if (socket.readyState === 1) resolve();
      socket.addEventListener('open', resolve);
      socket.addEventListener('error', () => {
        reject(new DriverFailure('no answer', 'No browser answers at the address of the socket'));
      });
    });
    socket.addEventListener('message', ({ data }) => this.#receive(String(data)));
    socket.addEventListener('close', () => {
      this.#isClosed = true;
      for (const { reject } of this.#waiting.values()) reject(gone());
      this.#waiting.clear();
    });
  }

  ask(method: string, parameters: unknown): Promise<unknown> {
    if (this.#isClosed) return Promise.reject(gone());
    this.#last += 1;
    const id = this.#last;
    return new Promise((resolve, reject) => {
      this.#waiting.set(id, { resolve, reject });
      this.#socket.send(JSON.stringify({ id, method, params: parameters }));
    });
  }

  #receive(text: string): void {
    const { id, type, error, message, result } = JSON.parse(text) as Answer;
    const waiting = this.#waiting.get(id ?? 0);
    // Events have no number.
    if (id === undefined || !waiting) return;
    this.#waiting.delete(id);
    if (type === 'success') waiting.resolve(result);
    else waiting.reject(new DriverFailure(error ?? 'unknown error', message ?? 'The browser refused a command'));
  }
}

function gone(): DriverFailure {
  return new DriverFailure('no answer', 'The browser has closed its connection');
}

/** The value as data; the section "script.RemoteValue" of the standard says how it is sent. */
function plainValue({ type, value }: RemoteValue): unknown {
  if (type === 'undefined' || type === 'null') return null;
  if (type === 'array') return (value as readonly RemoteValue[]).map(plainValue);
  if (type === 'object') {
    return Object.fromEntries(
      (value as readonly (readonly [string, RemoteValue])[]).map(([key, one]) => [key, plainValue(one)]),
    );
  }
  // Numbers that JSON has no way to write are sent as their names.
  if (type === 'number' && typeof value === 'string') return Number(value);
  return value;
}
