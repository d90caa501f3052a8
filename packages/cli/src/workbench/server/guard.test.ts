import { describe, expect, test } from 'vitest';
import { newSessionToken, refusal, sessionRefusal, type GuardedRequest } from './guard.ts';

const request = (headers: GuardedRequest['headers'], more: Partial<GuardedRequest> = {}): GuardedRequest => ({
  method: 'GET',
  headers: { host: '127.0.0.1:4320', ...headers },
  socket: { remoteAddress: '127.0.0.1' },
  ...more,
});

describe('who is answered', () => {
  test.each([
    request({}),
    request({ host: 'localhost:4320' }),
    request({ host: '[::1]:4320' }, { socket: { remoteAddress: '::1' } }),
    request({ origin: 'http://127.0.0.1:4320', 'sec-fetch-site': 'same-origin' }),
    request({}, { socket: { remoteAddress: '::ffff:127.0.0.1' } }),
  ])('a page of this machine: %j', (one) => {
    expect(refusal(one)).toBeNull();
  });

  test.each([
    request({}, { socket: { remoteAddress: '192.168.1.7' } }),
    request({}, { socket: {} }),
    request({ host: 'marram.example' }),
    request({ host: '127.0.0.1.marram.example:4320' }),
    request({ host: 'localhost:4320@marram.example' }),
    request({ host: undefined }),
    request({ origin: 'https://marram.example' }),
    request({ origin: 'http://127.0.0.1:4321' }),
    request({ origin: 'null' }),
    request({ 'sec-fetch-site': 'cross-site' }),
    request({ 'sec-fetch-site': 'same-site' }),
  ])('and no other: %j', (one) => {
    expect(refusal(one)).not.toBeNull();
  });

  test('the files are for those who know the session, and say where they are from', () => {
    const token = newSessionToken();
    const origin = 'http://127.0.0.1:4320';
    expect(sessionRefusal(request({}), token, token)).toBeNull();
    expect(sessionRefusal(request({ origin }, { method: 'POST' }), token, token)).toBeNull();
    for (const given of [undefined, '', `${token}x`, newSessionToken()]) {
      expect(sessionRefusal(request({ origin }, { method: 'POST' }), token, given)).not.toBeNull();
    }
    expect(sessionRefusal(request({}, { method: 'POST' }), token, token)).not.toBeNull();
  });
});
