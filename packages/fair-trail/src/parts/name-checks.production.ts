import type * as development from './name-checks.ts';

/** A production build checks no names: no one who reads its console could correct them. */
export const namesIn: typeof development.namesIn = () => [];
export const menuNameIn: typeof development.menuNameIn = () => [];
export const checkNames: typeof development.checkNames = () => undefined;
export const checkRecords: typeof development.checkRecords = () => undefined;
export const checkIcons: typeof development.checkIcons = () => undefined;
export const checkLink: typeof development.checkLink = () => undefined;
export const checkLayout: typeof development.checkLayout = () => undefined;
export const noteStage: typeof development.noteStage = () => undefined;
