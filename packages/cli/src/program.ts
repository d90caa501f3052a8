import { Command } from 'commander';
import { failureLine } from './failure.ts';
import { addAddCommand } from './commands/add-command.ts';
import { addAuditCommand } from './commands/audit-command.ts';
import { addCheckCommand } from './commands/check-command.ts';
import { addCompareCommand } from './commands/compare-command.ts';
import { addCompileCommand } from './commands/compile-command.ts';
import { addConvertCommand } from './commands/convert-command.ts';
import { addNewCommand } from './commands/new-command.ts';
import { addSheetCommand } from './commands/sheet-command.ts';
import { addShowCommand } from './commands/show-command.ts';
import { addStylesCommand } from './commands/styles-command.ts';
import { addTokensCommand } from './commands/tokens-command.ts';
import { addTypesCommand } from './commands/types-command.ts';
import { addWalkCommand } from './commands/walk-command.ts';

/** The command line. It throws what commander throws for bad use, and a `Failure` for bad input. */
export function createProgram(version: string): Command {
  const program = new Command('fair-trail')
    .description('Checks, draws, tests and publishes the navigation that a site file describes.')
    .version(version)
    .showHelpAfterError('(run with --help for what can be given)')
    .configureOutput({
      outputError: (text, write) => {
        write(text.replace(/^error: (.*)$/mu, (_, message: string) => failureLine({ message, code: 'bad-usage' })));
      },
    })
    .exitOverride();

  addNewCommand(program, version);
  addAddCommand(program);
  addShowCommand(program);
  addCheckCommand(program, version);
  addCompareCommand(program, version);
  addCompileCommand(program);
  addConvertCommand(program);
  addTypesCommand(program);
  addStylesCommand(program);
  addTokensCommand(program);
  addSheetCommand(program);
  addAuditCommand(program, version);
  addWalkCommand(program, version);
  return program;
}
