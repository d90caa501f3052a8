import { readFileSync } from 'node:fs';
import { Failure } from './failure.ts';
import { end, runCommand } from './run-command.ts';

const { version } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8')) as {
  version: string;
};

process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  // A reader that has seen enough, such as `head`, closes the pipe: that is no failure.
  if (error.code === 'EPIPE') return;
  const code = error.code ?? 'unknown error';
  end(new Failure('file-unreadable', `The standard output cannot be written (${code}). Write to somewhere else.`));
});

await runCommand(version, process.argv.slice(2));
