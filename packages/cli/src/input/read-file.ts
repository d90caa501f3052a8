import { closeSync, openSync, readFileSync, readSync, statSync } from 'node:fs';
import { gunzipSync } from 'node:zlib';
import { Failure, type CommandFailureCode } from '../failure.ts';
import { printable } from '../printable.ts';

/** More than the largest sitemap that its protocol allows, and little enough to hold in memory several times. */
const mostBytes = 64 * 1024 * 1024;

/** How much is read at a time: of a pipe or a device, no one knows the size before the end. */
const chunkBytes = 1024 * 1024;

/** @throws Failure if there is no file, it may not be read, or it is too large */
export function readBytes(file: string): Buffer {
  const shown = printable(file);
  const chunks: Buffer[] = [];
  let size = 0;
  try {
    const descriptor = openSync(file, 'r');
    try {
      for (;;) {
        const chunk = Buffer.allocUnsafe(chunkBytes);
        const length = readSync(descriptor, chunk, 0, chunkBytes, null);
        if (length === 0) return Buffer.concat(chunks, size);
        chunks.push(chunk.subarray(0, length));
        size += length;
        if (size > mostBytes) throw tooLarge(shown);
      }
    } finally {
      closeSync(descriptor);
    }
  } catch (error) {
    if (error instanceof Failure) throw error;
    throw readFailure(error as NodeJS.ErrnoException, shown);
  }
}

/** What is at a path, links followed; null if there is nothing. @throws Failure where that cannot be known */
export function kindOf(path: string): 'file' | 'folder' | null {
  try {
    const found = statSync(path, { throwIfNoEntry: false });
    return found ? (found.isDirectory() ? 'folder' : 'file') : null;
  } catch (error) {
    throw readFailure(error as NodeJS.ErrnoException, printable(path));
  }
}

/** The bytes of a file as text, to see whether they have changed; null if there are none available. */
export function contentOf(file: string): string | null {
  try {
    return readFileSync(file, 'latin1');
  } catch {
    return null;
  }
}

/** The text of a file in UTF-8, unpacked where it is a gzip file. */
export function readText(file: string): string {
  const bytes = readBytes(file);
  const isGzip = bytes[0] === 0x1f && bytes[1] === 0x8b;
  try {
    // A byte order mark is taken off by the decoder.
    return new TextDecoder('utf-8', { fatal: true }).decode(isGzip ? unpack(bytes, file) : bytes);
  } catch (error) {
    if (error instanceof Failure) throw error;
    throw new Failure('file-encoding', `The file "${printable(file)}" is not text in UTF-8. Save it in that encoding.`);
  }
}

function unpack(bytes: Buffer, file: string): Buffer {
  try {
    return gunzipSync(bytes, { maxOutputLength: mostBytes });
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    if (code === 'ERR_BUFFER_TOO_LARGE') throw tooLarge(printable(file));
    throw new Failure(
      'not-compressed',
      `The file "${printable(file)}" cannot be unpacked. It is damaged or cut short.`,
    );
  }
}

function tooLarge(shown: string): Failure {
  return new Failure(
    'file-too-large',
    `The file "${shown}" has more than 64 MiB. Split it, or leave out what is not needed.`,
  );
}

function readFailure({ code }: NodeJS.ErrnoException, shown: string): Failure {
  const failures: Readonly<Record<string, readonly [CommandFailureCode, string]>> = {
    ENOENT: ['file-missing', `There is no file "${shown}".`],
    ENOTDIR: ['file-missing', `There is no file "${shown}".`],
    ELOOP: ['file-unreadable', `"${shown}" is a link that leads back to itself.`],
    EISDIR: ['file-unreadable', `"${shown}" is a folder. Give the path of a file.`],
  };
  const [failure, message] = failures[code ?? ''] ?? [
    'file-unreadable',
    `The file "${shown}" cannot be read (${code ?? 'unknown error'}).`,
  ];
  return new Failure(failure, message);
}
