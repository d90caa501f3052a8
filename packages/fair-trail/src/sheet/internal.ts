// For the `fair-trail` command and this workspace. It promises nothing: what is here can change in any version.

export type { ComputedName, ComputedNames } from './notes.ts';
export type { SheetProblem } from './problem-list.tsx';
export type { SheetMenus } from './sheet-context.ts';
export type { SheetData } from './sheet-data.ts';
export type { ComparedData } from './sheet-data.ts';
export { Choice } from './condition-fields.tsx';
export { readConditions, usualConditions, type Conditions } from './conditions.ts';
export { CopyText } from './copy-text.tsx';
export { FrameContext } from './frame.tsx';
export { ProblemList } from './problem-list.tsx';
export { Section } from './sections.tsx';
export { SheetExtrasContext, type ComparedSource, type PageOptions, type SheetExtras } from './sheet-extras.ts';
export { iconNames, iconsOf } from './sheet-icons.tsx';
export { Sheet } from './sheet.tsx';
