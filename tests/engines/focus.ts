import { beforeEach } from 'vitest';
import { commands } from 'vitest/browser';

declare module 'vitest/browser' {
  interface BrowserCommands {
    /** Gives the page of the test the focus. */
    focusPage: () => Promise<void>;
  }
}

beforeEach(() => commands.focusPage());
