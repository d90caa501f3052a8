import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { writeFolder, type OutputFile } from '../writers/write-files.ts';

/** The sheet in a folder that is there only meanwhile. */
export async function inDraft<Result>(
  files: readonly OutputFile[],
  use: (url: string) => Promise<Result>,
): Promise<Result> {
  const folder = mkdtempSync(path.join(tmpdir(), 'fair-trail-sheet-'));
  try {
    writeFolder(folder, files, true);
    return await use(pathToFileURL(path.join(folder, 'index.html')).href);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
