import { readFileSync } from 'node:fs';
import { CommanderError } from 'commander';
import { Failure, failureLine } from './failure.ts';
import { printable, reasonOf } from './printable.ts';
import { createProgram } from './program.ts';

const { version } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8')) as {
  version: string;
};

function end(failure: Failure): void {
  process.stderr.write(`${failureLine(failure)}\n`);
  process.exitCode = failure.exitCode;
}

process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  // A reader that has seen enough, such as `head`, closes the pipe: that is no failure.
  if (error.code === 'EPIPE') return;
  const code = error.code ?? 'unknown error';
  end(new Failure('file-unreadable', `The standard output cannot be written (${code}). Write to somewhere else.`));
});

try {
  await createProgram(version).parseAsync();
} catch (error) {
  // The message of the first kind is printed already. Help and version are no mistakes; anything else is bad use.
  if (error instanceof CommanderError) process.exitCode = error.exitCode === 0 ? 0 : 2;
  else if (error instanceof Failure) end(error);
  else {
    const remedy = 'This is a mistake of fair-trail: please report it with the command and its input.';
    end(new Failure('unexpected', `${printable(reasonOf(error))}. ${remedy}`));
  }
}
