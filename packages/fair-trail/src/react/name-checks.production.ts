import type * as development from './name-checks.ts';

/** A production build checks no names: nobody who reads its console could correct them. */
export const namesIn: typeof development.namesIn = () => [];
export const menuNameIn: typeof development.menuNameIn = () => [];
export const useNameChecks: typeof development.useNameChecks = () => undefined;
export const useIconChecks: typeof development.useIconChecks = () => undefined;
export const useAddressCheck: typeof development.useAddressCheck = () => undefined;
