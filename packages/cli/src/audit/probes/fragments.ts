import type { AuditFinding } from 'fair-trail/audit';
import type { AuditedPage } from '../audited-page.ts';
import { ruleOf } from '../rule-of.ts';

/** More of one page are made by the same script, or by none. */
const mostFollowed = 4;

/** Follows links to places of the page that are not there: a script may make them just then. */
export async function followFragments(used: AuditedPage, dead: readonly AuditFinding[]): Promise<void> {
  let isEverMade = false;
  for (const finding of dead.slice(0, mostFollowed)) {
    await used.reload();
    const outcome = await used.whatHappens(finding.selector, async () => {
      if (!(await used.focusOn(finding))) return false;
      await used.press('Enter');
      return true;
    });
    const isMade = outcome !== null && (outcome.left || outcome.acted || outcome.before.text !== outcome.after.text);
    isEverMade ||= isMade;
    if (outcome !== null && !isMade) {
      await used.addFinding({ ...ruleOf(finding), severity: 'error', certainty: 'sure' }, finding, {
        state: 'followed',
      });
    } else if (outcome === null) await used.addFinding(ruleOf(finding), finding, { state: 'rest' });
  }
  for (const finding of isEverMade ? [] : dead.slice(mostFollowed)) {
    await used.addFinding(ruleOf(finding), finding, { state: 'rest' });
  }
}
