import type { SiteDefinition } from 'fair-trail';
// The development build, for its messages: a production build says codes.
import { checkSite } from '../../../../packages/fair-trail/dist/core/site/define.js';

/** What is wrong with a site file. */
export interface TextProblem {
  /** Where: a JSON Pointer, or empty for the text as a whole. */
  readonly place: string;
  readonly message: string;
  readonly isFatal: boolean;
}

/** What a text is as a site file. */
export interface CheckedText {
  /** Null if nothing can be shown of it. */
  readonly definition: SiteDefinition | null;
  readonly problems: readonly TextProblem[];
}

/** Checks the text of a site file as the command and the plugin do. */
export function checkText(text: string): CheckedText {
  let definition: SiteDefinition;
  try {
    definition = JSON.parse(text) as SiteDefinition;
  } catch (error) {
    const message = `This is not JSON: ${error instanceof Error ? error.message : String(error)}.`;
    return { definition: null, problems: [{ place: '', message, isFatal: true }] };
  }
  const { problems } = checkSite(definition);
  const isBroken = problems.some(({ severity }) => severity === 'fatal');
  return {
    definition: isBroken ? null : definition,
    problems: problems.map(({ pointer, message, remedy, severity }) => ({
      place: pointer,
      message: `${message} ${remedy}`,
      isFatal: severity === 'fatal',
    })),
  };
}
