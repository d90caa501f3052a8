import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { bands } from './bands.ts';
import { sample } from './sample.ts';
import { lengthOf, movementOf, transitsOf } from './timeline.ts';

describe('a table that goes on below itself', () => {
  const widths = fc.array(fc.integer({ min: 1, max: 40 }), { maxLength: 15 });

  test('has every column once and in order, and each run is as long as it can be', () => {
    fc.assert(
      fc.property(widths, fc.integer({ min: 0, max: 120 }), (columns, room) => {
        const runs = bands(columns, room);
        expect(runs.flat()).toEqual(columns.map((_, index) => index));
        const width = (run: readonly number[]) => run.reduce((sum, index) => sum + (columns[index] ?? 0), 0);
        for (const [index, run] of runs.entries()) {
          if (run.length > 1) expect(width(run)).toBeLessThanOrEqual(room);
          const [next] = runs[index + 1] ?? [];
          if (next !== undefined) expect(width([...run, next])).toBeGreaterThan(room);
        }
      }),
    );
  });
});

describe('a sample', () => {
  const how = { label: (text: string) => text, notable: (text: string) => text.includes('!') };

  test('is in order, of no more than asked for, and has the first, the longest and the shortest', () => {
    fc.assert(
      fc.property(fc.array(fc.string(), { maxLength: 60 }), fc.integer({ min: 6, max: 20 }), (texts, most) => {
        const { members, of } = sample(texts, most, how);
        expect(of).toBe(texts.length);
        expect(members).toHaveLength(Math.min(most, texts.length));
        let from = 0;
        for (const member of members) {
          const place = texts.indexOf(member, from);
          expect(place).toBeGreaterThanOrEqual(0);
          from = place + 1;
        }
        const lengths = (list: readonly string[]) => list.map((text) => text.length);
        expect(Math.max(0, ...lengths(members))).toBe(Math.max(0, ...lengths(texts)));
        expect(Math.min(99, ...lengths(members))).toBe(Math.min(99, ...lengths(texts)));
        if (texts[0] !== undefined) expect(members).toContain(texts[0]);
      }),
    );
  });

  test('has what is notable, however far down', () => {
    const texts = Array.from({ length: 5000 }, (_, index) => `page ${index}`);
    texts[4321] = 'new!';
    expect(sample(texts, 12, how).members).toContain('new!');
  });
});

describe('what moves', () => {
  const still = {
    animationName: 'none',
    animationDuration: '0s',
    animationDelay: '0s',
    animationTimingFunction: 'ease',
  };

  test('is read property by property, and short lists begin again', () => {
    const transits = transitsOf({
      transitionProperty: 'opacity, transform, visibility, none',
      transitionDuration: '0.18s, 120ms',
      transitionDelay: '0s, 0.04s',
      transitionTimingFunction: 'cubic-bezier(0.1, 0.6, 0.3, 1), ease',
    });
    expect(transits).toEqual([
      { property: 'opacity', delay: 0, duration: 180, easing: 'cubic-bezier(0.1, 0.6, 0.3, 1)' },
      { property: 'transform', delay: 40, duration: 120, easing: 'ease' },
      { property: 'visibility', delay: 0, duration: 180, easing: 'cubic-bezier(0.1, 0.6, 0.3, 1)' },
    ]);
    expect(lengthOf(transits)).toBe(180);
  });

  test('is an animation too, under its name, and nothing where nothing takes time', () => {
    const none = {
      transitionProperty: 'all',
      transitionDuration: '0s',
      transitionDelay: '0s',
      transitionTimingFunction: 'ease',
    };
    expect(movementOf({ ...none, ...still })).toEqual([]);
    expect(lengthOf([])).toBe(0);
    const entering = { ...still, animationName: 'enter', animationDuration: '0.2s' };
    expect(movementOf({ ...none, ...entering })).toEqual([
      { property: 'enter', delay: 0, duration: 200, easing: 'ease' },
    ]);
  });
});
