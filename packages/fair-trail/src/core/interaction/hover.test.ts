import * as fc from 'fast-check';
import { describe, expect, inject, test } from 'vitest';
import { isInCorridor, type Rectangle, type Point } from './corridor.ts';
import { hoverTimes, nextHover, noHover, type HoverEvent, type HoverState } from './hover.ts';

const enter = (id: string, onTheWay = false): HoverEvent => ({ type: 'enter', id, onTheWay });
const leave = (onTheWay = false): HoverEvent => ({ type: 'leave', onTheWay });
const waited: HoverEvent = { type: 'waited' };

/** All effects of the events, as words. */
function effectsOf(...events: readonly HoverEvent[]): string {
  const words: string[] = [];
  let state: HoverState = noHover;
  for (const event of events) {
    const next = nextHover(state, event);
    state = next.state;
    for (const effect of next.effects) {
      words.push(
        'milliseconds' in effect ? `wait ${effect.milliseconds}` : 'id' in effect ? `show ${effect.id}` : effect.type,
      );
    }
  }
  return words.join(', ');
}

const { rest, grace, corridor } = hoverTimes;

test.each<[string, HoverEvent[], string]>([
  ['opens after a rest', [enter('a'), waited], `wait ${rest}, show a`],
  ['opens nothing for one that passes by', [enter('a'), leave(), waited], `wait ${rest}, stop-waiting`],
  ['closes after a grace', [enter('a'), waited, leave(), waited], `wait ${rest}, show a, wait ${grace}, end`],
  [
    'keeps it for one that comes back',
    [enter('a'), waited, leave(), enter('a'), waited],
    `wait ${rest}, show a, wait ${grace}, stop-waiting`,
  ],
  [
    'waits longer on the way to the panel, and from each step',
    [enter('a'), waited, leave(true), { type: 'approach' }],
    `wait ${rest}, show a, wait ${corridor}, wait ${corridor}`,
  ],
  [
    'crosses another trigger on the way',
    [enter('a'), waited, leave(true), enter('b', true), enter('a')],
    `wait ${rest}, show a, wait ${corridor}, wait ${corridor}, stop-waiting`,
  ],
  [
    'goes on to another that it rests on',
    [enter('a'), waited, enter('b'), waited],
    `wait ${rest}, show a, wait ${rest}, show b`,
  ],
  ['gives up when another input takes over', [enter('a'), { type: 'cancel' }, waited], `wait ${rest}, stop-waiting`],
])('%s', (_, events, expected) => {
  expect(effectsOf(...events)).toBe(expected);
});

const anyEvent: fc.Arbitrary<HoverEvent> = fc.oneof(
  fc.tuple(fc.constantFrom('a', 'b', 'c'), fc.boolean()).map(([id, onTheWay]) => enter(id, onTheWay)),
  fc.boolean().map(leave),
  fc.constantFrom<HoverEvent>({ type: 'approach' }, waited, { type: 'cancel' }),
);

test('whatever happens, nothing is pending without a wait, and a pointer that stays away stops it', () => {
  fc.assert(
    fc.property(fc.array(anyEvent, { maxLength: 100 }), (events) => {
      let state: HoverState = noHover;
      let isWaiting = false;
      for (const event of events) {
        // No clock rings that was not set.
        if (event.type === 'waited' && !isWaiting) continue;
        if (event.type === 'waited') isWaiting = false;
        const { state: next, effects } = nextHover(state, event);
        for (const effect of effects) {
          if (effect.type === 'wait') isWaiting = true;
          if (effect.type === 'stop-waiting') isWaiting = false;
        }
        expect(next.pending !== undefined).toBe(isWaiting);
        state = next;
      }
      const away = nextHover(nextHover(state, leave()).state, waited).state;
      expect(away).toEqual(noHover);
    }),
    { numRuns: inject('machineRuns') },
  );
});

describe('the corridor', () => {
  const panel: Rectangle = { left: 0, top: 100, right: 400, bottom: 300 };

  test.each<[Point, boolean]>([
    [{ x: 120, y: 80 }, true],
    [{ x: 300, y: 97 }, true],
    [{ x: 390, y: 60 }, false],
    [{ x: 100, y: 40 }, false],
    [{ x: 10, y: 200 }, true],
  ])('from (100, 50) holds %j: %j', (point, expected) => {
    expect(isInCorridor(point, { x: 100, y: 50 }, panel)).toBe(expected);
  });

  test('holds each step of every straight way to the panel', () => {
    const coordinate = fc.integer({ min: -500, max: 500 });
    const anyPoint = fc.record({ x: coordinate, y: coordinate });
    const within = fc.record({ x: fc.integer({ min: 0, max: 400 }), y: fc.integer({ min: 100, max: 300 }) });
    fc.assert(
      fc.property(anyPoint, within, fc.double({ min: 0, max: 1, noNaN: true }), (from, target, step) => {
        // From above or below; from beside it, one goes by the side that one came from.
        fc.pre(from.y < 100 || from.y > 300);
        const edge = from.y < 100 ? 100 : 300;
        const scale = (edge - from.y) / (target.y - from.y || 1);
        const crossing = from.x + (target.x - from.x) * scale;
        fc.pre(crossing >= 0 && crossing <= 400);
        const x = from.x + (target.x - from.x) * step;
        const y = from.y + (target.y - from.y) * step;
        expect(isInCorridor({ x: Math.round(x), y: Math.round(y) }, from, panel)).toBe(true);
      }),
    );
  });
});
