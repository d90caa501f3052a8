import * as fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { defineSite } from '../site/define.ts';
import { answerRequest } from './answer-request.ts';
import { memoryHistory } from './memory-history.ts';
import { serverHistory } from './server-history.ts';

describe('the history in memory', () => {
  test('behaves like a list with a place in it', () => {
    fc.assert(
      fc.property(fc.array(fc.oneof(fc.constantFrom('push', 'replace'), fc.integer({ min: -3, max: 3 }))), (moves) => {
        const history = memoryHistory('/0');
        const reported: string[] = [];
        history.listen(({ entry, delta }) => reported.push(`${entry.url} ${delta}`));
        const model = { urls: ['/0'], index: 0 };
        moves.forEach((move, step) => {
          const url = `/${step + 1}`;
          const before = reported.length;
          if (move === 'push') {
            history.push({ url, key: url });
            model.index += 1;
            model.urls = [...model.urls.slice(0, model.index), url];
          } else if (move === 'replace') {
            history.replace({ url, key: url });
            model.urls[model.index] = url;
          } else if (typeof move === 'number') {
            history.traverse(move);
            const isThere = move !== 0 && model.urls[model.index + move] !== undefined;
            if (isThere) model.index += move;
            expect(reported.slice(before)).toEqual(isThere ? [`${model.urls[model.index]} ${move}`] : []);
          }
          expect(history.current.url).toBe(model.urls[model.index]);
        });
      }),
    );
  });

  test('can be stopped before it moves', () => {
    const history = memoryHistory('/a');
    history.push({ url: '/b', key: 'b' });
    const stop = history.listen(
      () => expect.unreachable(),
      () => false,
    );
    history.traverse(-1);
    expect(history.current.url).toBe('/b');
    stop();
    history.traverse(-1);
    expect(history.current.url).toBe('/a');
  });
});

describe('on a server', () => {
  test.each([
    ['https://marram.example/hides?x=1', '/hides?x=1'],
    ['/hides?x=1', '/hides?x=1'],
    ['//evil.example/hides', '/hides'],
    ['http://[', '/'],
  ])('the history of a request for %s is at %s and stays there', (request, url) => {
    const history = serverHistory(request);
    expect([
      history.current.url,
      history.push({ url: '/', key: 'k' }),
      history.replace({ url: '/', key: 'k' }),
    ]).toEqual([url, false, false]);
  });

  const site = defineSite({
    name: 'x',
    entries: [
      { id: 'hides', label: 'Hides', href: '/hides', movedFrom: ['/huts'] },
      { id: 'log', label: 'Log', href: '/log', audience: ['ringer'] },
    ],
  });

  test.each([
    ['/hides?x', 200, undefined],
    ['/huts?x=1', 301, '/hides?x=1'],
    ['/hides/nowhere', 404, undefined],
    ['/nowhere', 404, undefined],
    ['/log', 403, undefined],
  ])('a request for %s is answered with %i', (url, status, location) => {
    expect(answerRequest(site, url)).toMatchObject({ status, ...(location !== undefined && { location }) });
  });

  test('a page for some is there for them', () => {
    expect(answerRequest(site, '/log', ['ringer']).status).toBe(200);
    expect(answerRequest(site, '/log', 'unknown').status).toBe(200);
  });
});
