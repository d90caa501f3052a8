import { pageOf } from '../report.ts';
import type * as development from './problem-texts.ts';

/** In production the code and the page that explains it. */
export const problemText: typeof development.problemText = (code) => ({
  message: `The problem "${code}".`,
  remedy: `See ${pageOf('problems', code)}`,
});
