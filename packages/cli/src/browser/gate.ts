import { createServer, request as ask, Agent, type IncomingMessage, type ServerResponse } from 'node:http';
import { connect, type AddressInfo, type Socket } from 'node:net';
import { isHarmful } from './harmful.ts';

/** The only way out for a browser under audit. */
export interface Gate {
  /** What the browser takes for its proxy. */
  readonly server: string;
  readonly close: () => void;
}

/**
 * Opens a proxy on this machine alone that lets through what goes to one origin, and refuses all else. So nothing leaves the
 * origin, not by a redirect either, which no script in the browser is asked about. Where the origin is not encrypted, it
 * also refuses whatever is no reading, addresses that look as if they signed out or deleted something, and every socket.
 */
export async function openGate(origin: string): Promise<Gate> {
  const { protocol, hostname, port } = new URL(origin);
  const isEncrypted = protocol === 'https:';
  const target = `${hostname}:${port || (isEncrypted ? '443' : '80')}`;
  const agent = new Agent({ keepAlive: true });
  const sockets = new Set<Socket>();
  const server = createServer((incoming, response) => {
    const isOwn = URL.canParse(incoming.url ?? '') && new URL(incoming.url ?? '').origin === origin;
    const isReading = incoming.method === 'GET' || incoming.method === 'HEAD';
    if (isOwn && isReading && !isHarmful(new URL(incoming.url ?? ''))) passOn(incoming, response, agent);
    else response.writeHead(403).end();
  });
  server.on('connect', (incoming, client: Socket, head) => {
    client.on('error', () => client.destroy());
    if (!isEncrypted || incoming.url !== target) {
      client.end('HTTP/1.1 403 Forbidden\r\n\r\n');
      return;
    }
    const remote = connect(Number(port || 443), bare(hostname), () => {
      client.write('HTTP/1.1 200 Connection Established\r\n\r\n');
      remote.write(head);
      remote.pipe(client).pipe(remote);
    });
    remote.on('error', () => client.destroy());
    client.on('close', () => remote.destroy());
  });
  server.on('upgrade', (_, client) => client.destroy());
  server.on('connection', (socket) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const close = () => {
    server.close();
    agent.destroy();
    for (const socket of sockets) socket.destroy();
  };
  return { server: `http://127.0.0.1:${(server.address() as AddressInfo).port}`, close };
}

function passOn(incoming: IncomingMessage, response: ServerResponse, agent: Agent): void {
  const { hostname, port, pathname, search } = new URL(incoming.url ?? '');
  const outgoing = ask(
    {
      agent,
      host: bare(hostname),
      port: port || 80,
      path: pathname + search,
      method: incoming.method,
      headers: withoutHops(incoming.headers),
    },
    (answer) => {
      response.writeHead(answer.statusCode ?? 502, withoutHops(answer.headers));
      answer.pipe(response);
      answer.on('error', () => response.destroy());
    },
  );
  outgoing.on('error', () => {
    if (!response.headersSent) response.writeHead(502);
    response.end();
  });
  response.on('close', () => outgoing.destroy());
  outgoing.end();
}

/** What is said for one hop alone (RFC 9110, section 7.6.1). */
function withoutHops<Headers extends object>(headers: Headers): Headers {
  const hops = ['proxy-connection', 'connection', 'keep-alive', 'transfer-encoding', 'upgrade', 'te', 'trailer'];
  return Object.fromEntries(Object.entries(headers).filter(([name]) => !hops.includes(name))) as Headers;
}

/** An address of version 6 stands in brackets in a URL. */
function bare(hostname: string): string {
  return hostname.replace(/^\[|\]$/gu, '');
}
