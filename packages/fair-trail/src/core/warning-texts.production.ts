import { pageOf } from './report.ts';
import type * as development from './warning-texts.ts';

/** In production the code and the page that explains it. */
export const warningText: typeof development.warningText = (code, subject) => ({
  message: `The warning "${code}" for "${subject.slice(0, 120)}".`,
  remedy: `See ${pageOf('warnings', code)}`,
});

export const nameHint: typeof development.nameHint = () => '';
