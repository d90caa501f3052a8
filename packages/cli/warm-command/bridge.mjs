/** Lets a test wait for the warm command although its own event loop stands still, as for a process that it starts. */
import { fork } from 'node:child_process';
import { parentPort, workerData } from 'node:worker_threads';

const { answers, turn, env } = workerData;
let child = start();

function start() {
  const started = fork(new URL('process.mjs', import.meta.url), { stdio: 'ignore', env });
  started.on('message', answer);
  started.on('exit', (status) => {
    child = start();
    answer({ status, stdout: '', stderr: 'The process has ended.' });
  });
  return started;
}

function answer(outcome) {
  answers.postMessage(outcome);
  Atomics.store(turn, 0, 1);
  Atomics.notify(turn, 0);
}

parentPort.on('message', (asked) => child.send(asked));
