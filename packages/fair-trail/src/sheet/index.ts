// For React's server components: what is exported here runs in the browser too, and holds state.
'use client';

export { Sheet, type SheetProps } from './sheet.tsx';
export { ProblemList, type SheetProblem } from './problem-list.tsx';
export { readConditions, usualConditions, writeConditions, type Conditions } from './conditions.ts';
export type { SheetMenus } from './sheet-context.ts';
export type { SheetStyles } from './sheet-styles.ts';
export type { OwnSpecimen, OwnSpecimens } from './own-table.tsx';
export type { ComputedName, ComputedNames } from './notes.ts';
export type { SheetData } from './sheet-data.ts';
