/** Text in the hash of an address: deflated, in the alphabet of base64url (RFC 4648, section 5). */

const name = 'site';

async function throughStream(bytes: Uint8Array<ArrayBuffer>, stream: CompressionStream | DecompressionStream) {
  const through = new Blob([bytes]).stream().pipeThrough(stream);
  return new Uint8Array(await new Response(through).arrayBuffer());
}

/** Writes text as a hash, such as `#site=…`. */
export async function toHash(text: string): Promise<string> {
  const bytes = await throughStream(new TextEncoder().encode(text), new CompressionStream('deflate-raw'));
  const binary = Array.from(bytes, (byte) => String.fromCharCode(byte)).join('');
  return `#${name}=${btoa(binary).replaceAll('+', '-').replaceAll('/', '_').replaceAll('=', '')}`;
}

/** Reads the text of a hash; null for a hash without one, or a damaged one. */
export async function fromHash(hash: string): Promise<string | null> {
  const encoded = new RegExp(`^#${name}=([\\w-]+)$`, 'u').exec(hash)?.[1];
  if (encoded === undefined) return null;
  try {
    const binary = atob(encoded.replaceAll('-', '+').replaceAll('_', '/'));
    const bytes = Uint8Array.from(binary, (letter) => letter.charCodeAt(0));
    return new TextDecoder('utf-8', { fatal: true }).decode(
      await throughStream(bytes, new DecompressionStream('deflate-raw')),
    );
  } catch {
    return null;
  }
}
