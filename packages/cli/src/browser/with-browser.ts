import type { Browser } from 'playwright-core';
import { spin } from '../spinner.ts';
import { openBrowser } from './open-browser.ts';
import { serveFolder } from './serve-folder.ts';

export interface BrowserOptions {
  /** Of a folder: the page that answers if there is no file. */
  readonly fallback?: string;
  /** The Chromium to use. */
  readonly browser?: string;
}

/** What is given to those who work in the browser. */
export interface Working {
  readonly browser: Browser;
  /** Whether it is time to stop: what has been found so far is reported then. */
  readonly isStopped: () => boolean;
  /** Says how far it is, where somebody looks on. */
  readonly say: (text: string) => void;
  /** From now on other text is printed. */
  readonly endSaying: () => void;
}

/**
 * Serves a folder while something is done with it; a site that runs already is left alone.
 *
 * @param target a folder, or an address with http
 */
export async function withServed<Answer>(
  target: string,
  { fallback }: BrowserOptions,
  act: (url: string) => Promise<Answer>,
): Promise<Answer> {
  if (/^https?:\/\//iu.test(target)) return act(target);
  const served = await serveFolder(target, fallback);
  try {
    return await act(served.url);
  } finally {
    served.close();
  }
}

/** What a shell says of a program that Ctrl+C ended: 128 and the number of the signal. */
const stoppedByKey = 130;

/**
 * Opens the browser, and closes it whatever happens. The first Ctrl+C only asks to stop; another ends at once. What was
 * stopped is never taken for a pass: the exit code says so.
 */
export async function withBrowser(
  { browser: program }: BrowserOptions,
  act: (working: Working) => Promise<void>,
): Promise<void> {
  const browser = await openBrowser(program);
  const spinner = await spin('Opening the browser');
  const stopped = new AbortController();
  const stop = () => {
    if (stopped.signal.aborted) process.exit(stoppedByKey);
    stopped.abort();
    if (spinner) spinner.text = stopping;
    else process.stderr.write(`\n${stopping}\n\n`);
  };
  process.on('SIGINT', stop);
  try {
    await act({
      browser,
      isStopped: () => stopped.signal.aborted,
      say: (text) => {
        if (spinner && !stopped.signal.aborted) spinner.text = text;
      },
      endSaying: () => spinner?.stop(),
    });
    if (stopped.signal.aborted) process.exitCode = stoppedByKey;
  } finally {
    process.off('SIGINT', stop);
    spinner?.stop();
    await browser.close();
  }
}

const stopping = 'Stopping, once what is under way has ended. Ctrl+C again ends at once.';
