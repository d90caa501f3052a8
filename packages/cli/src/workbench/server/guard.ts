import { randomBytes, timingSafeEqual } from 'node:crypto';
import type { IncomingMessage } from 'node:http';

/** The header in which the page of a session says so. */
export const sessionHeader = 'fair-trail-session';

/** A name for a session that no one can guess. */
export function newSessionToken(): string {
  return randomBytes(24).toString('base64url');
}

/** What of a request decides whether it is answered. */
export type GuardedRequest = Pick<IncomingMessage, 'method' | 'headers'> & {
  readonly socket: { readonly remoteAddress?: string | undefined };
};

/**
 * Why a request is refused; null if it may be answered. The workbench writes files, so only this machine is answered, only by
 * a name of this machine (another name could be anyone's, and lead here), and only to a page of its own.
 */
export function refusal({ headers, socket }: GuardedRequest): string | null {
  if (!isThisMachine(socket.remoteAddress)) return 'The workbench answers this machine alone.';
  if (!isLocalHost(headers.host)) return 'The workbench is reached as 127.0.0.1, localhost or [::1].';
  const site = headers['sec-fetch-site'];
  const isForeign = site !== undefined && site !== 'same-origin' && site !== 'none';
  const isOwn = headers.origin === undefined || hostOf(headers.origin) === headers.host;
  if (isForeign || !isOwn) return 'The workbench answers its own pages alone.';
  return null;
}

/** The same for what reads or writes the files: the page must know the session. */
export function sessionRefusal(request: GuardedRequest, token: string, given: string | undefined): string | null {
  const refused = refusal(request);
  if (refused !== null) return refused;
  if (request.method !== 'GET' && request.headers.origin === undefined) return 'A page says where it is from.';
  const [one, other] = [Buffer.from(given ?? ''), Buffer.from(token)];
  const isKnown = one.length === other.length && timingSafeEqual(one, other);
  return isKnown ? null : 'This session is over. Load the page again.';
}

function isThisMachine(address: string | undefined): boolean {
  const plain = (address ?? '').replace(/^::ffff:/u, '');
  return plain === '::1' || plain.startsWith('127.');
}

function isLocalHost(host: string | undefined): boolean {
  return /^(?:127\.0\.0\.1|localhost|\[::1\])(?::\d{1,5})?$/u.test(host ?? '');
}

function hostOf(origin: string): string | null {
  return /^https?:\/\/([^/]+)$/u.exec(origin)?.[1] ?? null;
}
