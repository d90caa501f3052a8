import { afterEach, beforeEach, expect } from 'vitest';

/**
 * Fails each test during which something was written to the console as an error or a warning. The tests run on React's
 * development build, which reports there what it objects to: equal keys, unknown attributes, hydration mismatches.
 * A test that expects such output replaces the method with a spy of its own.
 */
const written: string[] = [];

if (import.meta.env.PROD) {
  throw new Error('These tests are for the development build of React: run them without NODE_ENV=production.');
}

for (const method of ['error', 'warn'] as const) {
  const original = console[method].bind(console);
  console[method] = (...parts: unknown[]) => {
    // React 18 takes a test that prints for a server within the browser for a server.
    const isOfTest = String(parts[0]).includes('useLayoutEffect does nothing on the server');
    if (!isOfTest) written.push(`console.${method}: ${parts.map(String).join(' ')}`);
    original(...parts);
  };
}

beforeEach(() => {
  written.length = 0;
});

afterEach(() => {
  expect(written.splice(0), 'what was written to the console').toEqual([]);
});
