import { pageOf } from './report.ts';
import type * as development from './error-texts.ts';

/** In production the code and the page that explains it. */
export const errorText: typeof development.errorText = (code) => `[${code}] See ${pageOf('problems', code)}`;
