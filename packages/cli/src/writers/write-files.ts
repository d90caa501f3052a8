import {
  chmodSync,
  copyFileSync,
  existsSync,
  lstatSync,
  mkdirSync,
  readlinkSync,
  realpathSync,
  renameSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import path from 'node:path';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';

export interface OutputFile {
  readonly path: string;
  readonly text: string | Uint8Array;
}

/**
 * Writes all files or none: each beside its place first, and moved there when all are written. What is replaced keeps
 * its mode; a link stays a link, and a device a device.
 *
 * @throws Failure where a file is there already and may not be replaced, or cannot be written
 */
export function writeFiles(files: readonly OutputFile[], mayReplace: boolean): void {
  refusePlaces(files, mayReplace);
  const targets = files.map((file, index) => attempt(file, () => targetOf(file, index)));
  // Until all is done, or undone, nothing interrupts.
  const signals = ['SIGINT', 'SIGTERM', 'SIGHUP'] as const;
  const ignore = () => undefined;
  for (const signal of signals) process.on(signal, ignore);
  try {
    for (const target of targets) prepare(target);
    const done: OutputTarget[] = [];
    try {
      for (const target of targets) {
        if (target.isFile) attempt(target.file, () => renameSync(target.draft, target.place));
        done.push(target);
      }
    } catch (error) {
      for (const target of done) restore(target);
      throw error;
    }
  } finally {
    for (const { draft, backup } of targets) for (const file of [draft, backup]) rmSync(file, { force: true });
    for (const signal of signals) process.off(signal, ignore);
  }
}

/** A place to write at. */
interface OutputTarget {
  readonly file: OutputFile;
  /** Where the file itself is, when its path is that of a link. */
  readonly place: string;
  /** False for a device or a pipe, which is written to and not replaced. */
  readonly isFile: boolean;
  /** The mode of the file that is there; null if there is none. */
  readonly mode: number | null;
  readonly draft: string;
  readonly backup: string;
}

function targetOf(file: OutputFile, index: number): OutputTarget {
  const place = placeOf(path.resolve(file.path));
  const found = statSync(place, { throwIfNoEntry: false });
  if (found?.isDirectory()) {
    throw new Failure('file-unreadable', `"${printable(file.path)}" is a folder. Name a file to write.`);
  }
  // A name of their own: one that is made from the file's may be longer than the file system allows.
  const name = path.join(path.dirname(place), `.fair-trail-${process.pid}-${index}`);
  return {
    file,
    place,
    isFile: found?.isFile() ?? true,
    mode: found?.isFile() ? found.mode & 0o7777 : null,
    draft: `${name}.part`,
    backup: `${name}.old`,
  };
}

/** Where a path leads, also over a link to what is not there yet. */
function placeOf(place: string): string {
  if (existsSync(place)) return realpathSync(place);
  const isLink = lstatSync(place, { throwIfNoEntry: false })?.isSymbolicLink() ?? false;
  return isLink ? path.resolve(path.dirname(place), readlinkSync(place)) : place;
}

/** Writes the file beside its place, and keeps what it is going to replace. */
function prepare(target: OutputTarget): void {
  const { file, place, isFile, mode, draft, backup } = target;
  attempt(file, () => {
    if (!isFile) {
      writeFileSync(place, file.text);
      return;
    }
    writeFileSync(draft, file.text, { flag: 'wx' });
    if (mode === null) return;
    chmodSync(draft, mode);
    copyFileSync(place, backup);
    chmodSync(backup, mode);
  });
}

function restore({ place, isFile, mode, backup }: OutputTarget): void {
  if (!isFile) return;
  if (mode === null) rmSync(place, { force: true });
  else renameSync(backup, place);
}

function attempt<Result>(file: OutputFile, work: () => Result): Result {
  try {
    return work();
  } catch (error) {
    if (error instanceof Failure) throw error;
    const { code } = error as NodeJS.ErrnoException;
    throw new Failure('file-unreadable', `"${printable(file.path)}" cannot be written (${code ?? 'unknown error'}).`);
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
    for (const place of new Set([folder, ...placed.map((file) => path.dirname(file.path))])) {
      mkdirSync(place, { recursive: true });
    }
  } catch (error) {
    const { code } = error as NodeJS.ErrnoException;
    throw new Failure(
      'file-unreadable',
      `The folder "${printable(folder)}" cannot be made (${code ?? 'unknown error'}).`,
    );
  }
  writeFiles(placed, mayReplace);
}
