import { existsSync, mkdirSync, renameSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';

export interface OutputFile {
  readonly path: string;
  readonly text: string | Uint8Array;
}

/**
 * Writes all files or none: each beside its place first, and moved there when all are written.
 *
 * @throws Failure where a file is there already and may not be replaced, or cannot be written
 */
export function writeFiles(files: readonly OutputFile[], mayReplace: boolean): void {
  refusePlaces(files, mayReplace);
  const drafts = files.map((file) => {
    const { dir, base } = path.parse(path.resolve(file.path));
    return { ...file, draft: path.join(dir, `.${base}.${process.pid}.part`) };
  });
  try {
    for (const { draft, text } of drafts) writeFileSync(draft, text, { flag: 'wx' });
    for (const { draft, path: place } of drafts) renameSync(draft, place);
  } catch (error) {
    for (const { draft } of drafts) rmSync(draft, { force: true });
    const { code } = error as NodeJS.ErrnoException;
    throw new Failure(
      'file-unreadable',
      `"${printable(files[0]?.path ?? '')}" cannot be written (${code ?? 'unknown error'}).`,
    );
  }
}

/**
 * Refuses places where nothing can be written, or where a file is already: for what takes long to make, before it is made.
 *
 * @throws Failure where one is there and may not be replaced, or has no folder to be in
 */
export function refusePlaces(files: readonly Pick<OutputFile, 'path'>[], mayReplace: boolean): void {
  for (const { path: place } of files) {
    const folder = path.dirname(path.resolve(place));
    if (!existsSync(folder))
      throw new Failure(
        'file-unreadable',
        `There is no folder "${printable(folder)}" to write "${printable(path.basename(place))}" in. Make it, or name another.`,
      );
  }
  refusePresent(files, mayReplace);
}

/**
 * The same for a folder that is made when it is written.
 *
 * @throws Failure where a file is there and may not be replaced
 */
export function refusePresent(files: readonly Pick<OutputFile, 'path'>[], mayReplace: boolean): void {
  const present = files.find((file) => existsSync(file.path));
  if (present && !mayReplace) {
    throw new Failure('file-exists', `There is a file "${printable(present.path)}" already. Replace it with --force.`);
  }
}

/**
 * As `writeFiles`, into a folder that is made where it is not there yet.
 *
 * @param files by their names in it
 */
export function writeFolder(folder: string, files: readonly OutputFile[], mayReplace: boolean): void {
  const placed = files.map((file) => ({ ...file, path: path.join(folder, file.path) }));
  refusePresent(placed, mayReplace);
  try {
    mkdirSync(folder, { recursive: true });
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new Failure(
      'file-unreadable',
      `The folder "${printable(folder)}" cannot be made (${code ?? 'unknown error'}).`,
    );
  }
  writeFiles(placed, mayReplace);
}
