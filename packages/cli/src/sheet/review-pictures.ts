import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { openBrowser } from '../browser/open-browser.ts';
import type { FileTexts } from '../workbench/model/edit-history.ts';
import { changesBetween, changesMarkdown } from '../workbench/model/session-changes.ts';
import { WorkbenchFiles } from '../workbench/server/workbench-files.ts';
import type { WorkbenchInput } from '../workbench/server/workbench-input.ts';
import type { WorkbenchTexts } from '../workbench/server/workbench-state.ts';
import { writeFolder } from '../writers/write-files.ts';
import { inDraft } from './draft-folder.ts';
import { takePictures } from './pictures.ts';
import { readSheetMaterial } from './sheet-data.ts';
import { sheetFiles } from './sheet-page.ts';

/** Pictures of what is edited beside what is saved, for those who review it. @returns how many were written */
export async function writeReviewPictures(
  input: WorkbenchInput,
  texts: WorkbenchTexts,
  folder: string,
): Promise<number> {
  const draft = mkdtempSync(path.join(tmpdir(), 'fair-trail-edited-'));
  const browser = await openBrowser(input.browser);
  try {
    const write = (name: string, text: string | null) => {
      if (text === null) return undefined;
      const file = path.join(draft, name);
      writeFileSync(file, text);
      return file;
    };
    const site = write('edited.site.json', texts.site);
    const theme = write('edited.tokens.json', texts.tokens);
    const saved = savedTexts(input);
    const savedTheme = write('saved.tokens.json', saved.tokens);
    const material = await readSheetMaterial({
      ...input,
      file: site ?? input.file,
      ...(theme !== undefined && { theme }),
      against: input.file,
      ...(savedTheme !== undefined && { againstTheme: savedTheme }),
      names: ['saved', 'edited'],
    });
    const pictures = await inDraft(sheetFiles(material), (url) => takePictures(browser, url, 'compared'));
    writeFolder(
      folder,
      [...pictures, { path: 'changes.md', text: changesMarkdown(changesBetween(saved, texts)) }],
      true,
    );
    return pictures.length;
  } finally {
    await browser.close();
    rmSync(draft, { recursive: true, force: true });
  }
}

function savedTexts({ file, theme }: WorkbenchInput): FileTexts {
  const files = new WorkbenchFiles(file, theme ?? null);
  return { site: files.site().text, tokens: files.tokens().text };
}
