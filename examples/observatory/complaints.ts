import type { BrowserContext } from 'playwright';

/** The weather mast answers badly on purpose, and the library reports that. */
const expected = '/tides/mast';

/** The errors and warnings that pages of the context write to the console; the list grows as they come. */
export function complaintsIn(context: BrowserContext): string[] {
  const complaints: string[] = [];
  context.on('console', (message) => {
    const isComplaint = message.type() === 'error' || message.type() === 'warning';
    if (isComplaint && !message.text().includes(expected)) complaints.push(message.text());
  });
  context.on('weberror', (error) => complaints.push(String(error.error())));
  return complaints;
}
