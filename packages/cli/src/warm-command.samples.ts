import { MessageChannel, receiveMessageOnPort, Worker } from 'node:worker_threads';

export interface Outcome {
  readonly status: number | null;
  readonly stdout: string;
  readonly stderr: string;
}

/** An environment that says nothing of colors, whatever the machine's own says. */
export const withoutColors = { FORCE_COLOR: undefined, NO_COLOR: undefined, CI: undefined };

/** Longer than any run of the command may take, in milliseconds. */
const patience = 60_000;

let ask: ((message: object) => Outcome) | null = null;

/** Runs the built command in a process that stays: to start a new one each time takes longer than most runs. */
export function runWarm(cwd: string, args: readonly string[]): Outcome {
  ask ??= startWarmCommand();
  return ask({ cwd, args });
}

function startWarmCommand(): (message: object) => Outcome {
  const turn = new Int32Array(new SharedArrayBuffer(4));
  const { port1, port2 } = new MessageChannel();
  const worker = new Worker(new URL('../warm-command/bridge.mjs', import.meta.url), {
    workerData: { answers: port2, turn, env: { ...process.env, ...withoutColors } },
    transferList: [port2],
  });
  worker.unref();
  return (message) => {
    worker.postMessage(message);
    if (Atomics.wait(turn, 0, 0, patience) === 'timed-out') throw new Error('The warm command does not answer.');
    Atomics.store(turn, 0, 0);
    return receiveMessageOnPort(port1)?.message as Outcome;
  };
}
