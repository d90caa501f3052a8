import type { Conditions } from './conditions.ts';
import { mediaUnder } from './media-under.ts';
import { shownSelector } from './shown-states.ts';

/**
 * Rewrites a stylesheet in place, so that its own rules draw what a pointer, a keyboard or the reader's system would have
 * to cause. Nothing is added to it, and no declaration is touched. It may be called again for other conditions.
 *
 * @throws DOMException for a stylesheet of another origin, whose rules no page may see
 */
export function rewriteStyles(sheet: CSSStyleSheet, conditions: Conditions): void {
  rewriteRules(sheet.cssRules, conditions);
}

/*
 * Told by what they have and not by what they are: a rule in a frame is of that frame's classes. Each is set only where it
 * changes: setting it costs the browser a new look at the whole document.
 */
function rewriteRules(rules: CSSRuleList, conditions: Conditions): void {
  for (const rule of rules) {
    if ('selectorText' in rule) {
      const styled = rule as CSSStyleRule;
      const shown = shownSelector(asWritten(rule, styled.selectorText));
      if (shown !== styled.selectorText) styled.selectorText = shown;
    }
    if ('media' in rule) {
      const { media } = rule as CSSMediaRule;
      const under = mediaUnder(asWritten(rule, media.mediaText), conditions);
      if (under !== media.mediaText) media.mediaText = under;
    }
    const imported = 'styleSheet' in rule ? (rule as CSSImportRule).styleSheet : null;
    if (imported) rewriteStyles(imported, conditions);
    if ('cssRules' in rule) rewriteRules((rule as CSSGroupingRule).cssRules, conditions);
  }
}

/** What the author wrote, by the rule: conditions change, and each time it begins from that. */
const written = new WeakMap<CSSRule, string>();

function asWritten(rule: CSSRule, now: string): string {
  const known = written.get(rule) ?? now;
  written.set(rule, known);
  return known;
}
