import { readFileSync } from 'node:fs';
import { Command, CommanderError } from 'commander';
import { errorColors } from './colors.ts';
import { Failure, type FailureCode } from './failure.ts';
import { addAuditCommand } from './commands/audit-command.ts';
import { addCheckCommand } from './commands/check-command.ts';
import { addCompareCommand } from './commands/compare-command.ts';
import { addConvertCommand } from './commands/convert-command.ts';
import { addSheetCommand } from './commands/sheet-command.ts';
import { addShowCommand } from './commands/show-command.ts';
import { addStylesCommand } from './commands/styles-command.ts';
import { addTokensCommand } from './commands/tokens-command.ts';
import { addWalkCommand } from './commands/walk-command.ts';

const { version } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8')) as {
  version: string;
};

const program = new Command('fair-trail')
  .description('Works on the site file that describes a website’s navigation, and on the colors it is shown in.')
  .version(version)
  .showHelpAfterError('(run with --help for what can be given)')
  .configureOutput({
    outputError: (text, write) => {
      write(text.replace(/^error: (.*)$/mu, (_, message: string) => failureLine(message, 'bad-usage')));
    },
  })
  .exitOverride();

addShowCommand(program);
addCheckCommand(program, version);
addCompareCommand(program, version);
addConvertCommand(program);
addStylesCommand(program);
addTokensCommand(program);
addSheetCommand(program);
addAuditCommand(program, version);
addWalkCommand(program, version);

function failureLine(message: string, code: FailureCode): string {
  return `${errorColors.red('fair-trail:')} ${message} [${code}]`;
}

// A reader that has seen enough, such as `head`, closes the pipe: that is no failure.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  if (error.code !== 'EPIPE') throw error;
});

try {
  await program.parseAsync();
} catch (error) {
  if (error instanceof CommanderError) {
    // Its message is already printed. Help and version are no mistakes; anything else is bad use.
    process.exitCode = error.exitCode === 0 ? 0 : 2;
  } else if (error instanceof Failure) {
    process.stderr.write(`${failureLine(error.message, error.code)}\n`);
    process.exitCode = error.exitCode;
  } else {
    throw error;
  }
}
