import * as fc from 'fast-check';
import { expect, test } from 'vitest';
import { choices, limits, readConditions, usualConditions, withinLimits, writeConditions } from './conditions.ts';

const name = fc.stringMatching(/^[a-z][a-z-]{0,8}$/u).filter((text) => text !== 'unknown');

const anyConditions = fc.record({
  width: fc.integer({ min: limits.width.least, max: limits.width.most }),
  text: fc.integer({ min: limits.text.least, max: limits.text.most }),
  direction: fc.constantFrom(...choices.direction),
  scheme: fc.constantFrom(...choices.scheme),
  theme: name,
  contrast: fc.constantFrom(...choices.contrast),
  motion: fc.constantFrom(...choices.motion),
  density: fc.constantFrom(...choices.density),
  audience: fc.oneof(fc.constant('unknown' as const), fc.uniqueArray(name, { maxLength: 3 })),
  language: fc.oneof(fc.constant(null), name),
  address: fc.oneof(
    fc.constant(null),
    fc.webPath().map((path) => `/${path.replace(/^\//u, '')}?tide=high&hide=reed bed#top`),
  ),
});

test('any conditions come back from the address that says them', () => {
  fc.assert(
    fc.property(anyConditions, (conditions) => {
      const address = `?${writeConditions(conditions).toString()}`;
      expect(readConditions(new URLSearchParams(address))).toEqual(conditions);
    }),
  );
});

test('a plain view has a plain address, and what else is in the query stays', () => {
  expect(writeConditions(usualConditions).toString()).toBe('');
  const query = new URLSearchParams('tab=2&width=320');
  expect(writeConditions(usualConditions, query).toString()).toBe('tab=2');
  expect(writeConditions({ ...usualConditions, width: 768 }, query).toString()).toBe('tab=2&width=768');
  expect(query.get('width')).toBe('320');
});

test('a wrong value in an address becomes the default, or the nearest bound', () => {
  const read = (query: string) => readConditions(new URLSearchParams(query));
  expect(read('width=&text=huge&direction=up&scheme=Dark&audience=&address=')).toEqual(usualConditions);
  expect(read('width=9e9&text=-4')).toMatchObject({ width: limits.width.most, text: limits.text.least });
  expect(read('audience=%20ringer,,ringer,%20warden')).toMatchObject({ audience: ['ringer', 'warden'] });
  expect(withinLimits('width', 320.4)).toBe(320);
});
