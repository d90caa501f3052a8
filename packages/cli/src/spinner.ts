import type { Ora } from 'ora';

/**
 * A line that turns while somebody looks on, and nothing where no one does.
 *
 * @returns the spinner, which runs; null if stderr is no terminal that can be drawn over, since a text would stand there
 *   for good
 */
export async function spin(text: string): Promise<Ora | null> {
  // Some terminals say that they are no column wide; lines without end would be wiped out there.
  if (!process.stderr.isTTY || process.stderr.columns === 0) return null;
  // A machine that builds keeps what a terminal says as a file, even where it gives out to be a terminal.
  if (process.env['TERM'] === 'dumb' || process.env['CI'] !== undefined) return null;
  const { default: ora } = await import('ora');
  // Keys are left to the terminal, which makes a signal of Ctrl+C: whoever works knows best how to stop.
  return ora({ text, discardStdin: false }).start();
}
