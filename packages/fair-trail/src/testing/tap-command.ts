// For the declaration below.
import type {} from 'vitest/browser';

declare module 'vitest/browser' {
  interface BrowserCommands {
    /** Taps what a selector finds: `tap` of `fair-trail/testing/tap`, given to Vitest as a command. */
    tap: (selector: string) => Promise<void>;
  }
}
