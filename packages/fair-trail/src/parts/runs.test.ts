import * as fc from 'fast-check';
import { expect, test } from 'vitest';
import { Runs } from './runs.ts';

test('one of a name runs at a time, again for other values, and nothing after the end', () => {
  const values = fc.option(fc.array(fc.option(fc.integer({ min: 0, max: 2 })), { minLength: 1, maxLength: 2 }));
  fc.assert(
    fc.property(fc.array(fc.record({ name: fc.constantFrom('a', 'b'), values })), (steps) => {
      const runs = new Runs();
      const running = new Map<string, readonly unknown[]>();
      for (const { name, values: wanted } of steps) {
        runs.keep(name, wanted, (...given) => {
          // What ran before has been stopped.
          expect(running.has(name)).toBe(false);
          running.set(name, given);
          return () => running.delete(name);
        });
        expect(running.get(name)).toEqual(wanted === null || wanted.includes(null) ? undefined : wanted);
      }
      runs.stop();
      expect(running.size).toBe(0);
    }),
  );
});

test('the same values start nothing again', () => {
  const runs = new Runs();
  let starts = 0;
  const start = () => {
    starts += 1;
    return undefined;
  };
  for (let time = 0; time < 3; time += 1) runs.keep('a', ['x', 1], start);
  expect(starts).toBe(1);
});
