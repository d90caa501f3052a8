/**
 * A process that runs the built command again and again, for tests: to start a new one each time took longer than most of
 * the tests themselves. What is asked for comes as a message, and the outcome goes back as one.
 */
import { readFileSync } from 'node:fs';

const { runCommand } = await import('../dist/run-command.js');
const { version } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8'));

process.on('message', async ({ cwd, args }) => {
  const written = { stdout: '', stderr: '' };
  for (const name of ['stdout', 'stderr']) {
    process[name].write = (chunk, encoding, then) => {
      written[name] += chunk;
      (typeof encoding === 'function' ? encoding : then)?.();
      return true;
    };
  }
  process.chdir(cwd);
  process.exitCode = 0;
  await runCommand(version, args);
  process.send({ status: process.exitCode, ...written });
  process.exitCode = 0;
});
process.on('disconnect', () => process.exit());
