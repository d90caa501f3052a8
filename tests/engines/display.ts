import { start } from './processes.ts';

/** A display without a screen, for a browser that has no way to run without one. */
export async function startDisplay(): Promise<{ readonly name: string; readonly end: () => Promise<void> }> {
  // It chooses a number that is free, and says which.
  const server = start('Xvfb', ['-displayfd', '1', '-screen', '0', '1600x1200x24', '-nolisten', 'tcp']);
  const [, number = ''] = await server.said(/^(\d+)$/mu);
  return { name: `:${number}`, end: server.end };
}
