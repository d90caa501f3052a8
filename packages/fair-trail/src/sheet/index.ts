// For React's server components: what is exported here runs in the browser too, and holds state.
'use client';

export { Sheet } from './sheet.tsx';
export type { SheetProps } from './sheet-props.ts';
export type { OwnSpecimen, OwnSpecimens } from './own-table.tsx';
