import type { Attempt } from '../attempt.ts';
import type { Probe } from '../probe.ts';
import type { AuditedPage } from '../audited-page.ts';

export const skipLinkStays: Probe = {
  id: 'skip-link-stays',
  title: 'A skip link does not move focus.',
  severity: 'error',
  certainty: 'sure',
  wcag: ['2.4.1'],
  affects: 'Keyboard users press it, and the next Tab is in the menu that they wanted to skip.',
  remedy: 'Link to the id of the content, and let no script prevent the default action.',
  standard: 'HTML standard, section 7.4.6.4 (fragments); WCAG 2.2, 2.4.1 Bypass Blocks',
};

async function attempt(used: AuditedPage): Promise<void> {
  for (const link of used.report.skipLinks) {
    if (!used.options.isNew(`skip ${link.html} ${link.target}`)) continue;
    await used.reload();
    if (!(await used.focusOn(link))) {
      used.leaveOut(skipLinkStays, `“${link.selector}” takes no focus.`);
      continue;
    }
    const happening = await used.whatHappens(link.selector, () => used.press('Enter'));
    if (happening === null || happening.left) continue;
    await used.press('Tab');
    const where = await used.page.evaluate(
      ([from, to]) => {
        const [link, target] = [from, to].map((selector) => document.querySelector(selector ?? ''));
        const active = document.activeElement;
        if (!link || !target || !active || active === document.body) return 'none';
        const follows = (one: Element, other: Element) => Boolean(one.compareDocumentPosition(other) & 4);
        if (active === target || target.contains(active) || follows(target, active)) return 'past';
        return follows(link, active) ? 'between' : 'before';
      },
      [link.selector, link.target],
    );
    if (where === 'between') await used.addFinding(skipLinkStays, link, { state: 'pressed' });
  }
}

export const skipping: Attempt = {
  isPossible: ({ report, options }) => options.isWidest && report.skipLinks.length > 0,
  name: 'skip link',
  probes: [skipLinkStays],
  attempt,
};
