import { watch } from 'node:fs';
import path from 'node:path';
import { Failure, failureLine } from './failure.ts';
import { contentOf } from './input/read-file.ts';
import { printable } from './printable.ts';

/** How long a file is left alone before it is read: an editor may write it in several steps. In milliseconds. */
const settlingTime = 100;

/**
 * Runs something, and again whenever a file changes, until the command is stopped. What fails is reported, and ends nothing.
 *
 * @param file what is followed; it may go and come back
 */
export async function runWhileWatching(file: string, run: () => Promise<void> | void): Promise<never> {
  const attempt = async () => {
    try {
      await run();
    } catch (error) {
      if (!(error instanceof Failure)) throw error;
      process.stderr.write(`${failureLine(error)}\n`);
    }
    // Only the last of many runs would decide, and a command that is stopped has not failed.
    process.exitCode = 0;
    process.stderr.write(`Watching ${printable(file)}. Press Ctrl+C to stop.\n`);
  };
  let known = contentOf(file);
  await attempt();
  // Watch the folder: editors replace the file instead of changing it.
  const watcher = watch(path.dirname(path.resolve(file)));
  let timer: NodeJS.Timeout | undefined;
  return new Promise<never>((_, reject) => {
    watcher.on('error', reject);
    watcher.on('change', () => {
      clearTimeout(timer);
      timer = setTimeout(() => {
        const content = contentOf(file);
        if (content === known) return;
        known = content;
        attempt().catch(reject);
      }, settlingTime);
    });
  });
}
