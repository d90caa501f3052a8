import { CommanderError } from 'commander';
import { Failure, failureLine } from './failure.ts';
import { printable, reasonOf } from './printable.ts';
import { createProgram } from './program.ts';

/** Ends with a failure: its line on the error stream, and its exit code once nothing is left to do. */
export function end(failure: Failure): void {
  process.stderr.write(`${failureLine(failure)}\n`);
  process.exitCode = failure.exitCode;
}

/**
 * Runs the command.
 *
 * @param version what `--version` prints
 * @param args what was typed after the name of the command
 */
export async function runCommand(version: string, args: readonly string[]): Promise<void> {
  try {
    await createProgram(version).parseAsync(args, { from: 'user' });
  } catch (error) {
    // The message of the first kind is printed already. Help and version are not mistakes; anything else is wrong use.
    if (error instanceof CommanderError) process.exitCode = error.exitCode === 0 ? 0 : 2;
    else if (error instanceof Failure) end(error);
    else {
      const remedy = 'This is a mistake of fair-trail: please report it with the command and its input.';
      end(new Failure('unexpected', `${printable(reasonOf(error))}. ${remedy}`));
    }
  }
}
