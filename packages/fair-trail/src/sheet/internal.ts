// For the `fair-trail` command and this workspace. It promises nothing: what is here can change in any version.

export type { ComputedName, ComputedNames } from './notes.ts';
export type { SheetProblem } from './problem-list.tsx';
export type { SheetMenus } from './sheet-context.ts';
export type { SheetData } from './sheet-data.ts';
