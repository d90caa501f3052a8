/** What begins with it is a custom property of a theme. */
const prefix = '--ft-';

/**
 * Frames, in every window of the sheet, what a custom property changes: the elements that a rule which uses it applies to,
 * also over other properties that are made of it.
 *
 * @param property without `--ft-`; null frames nothing any more
 * @returns how many elements are framed
 */
export function pointAt(property: string | null): number {
  let count = 0;
  for (const frame of document.querySelectorAll<HTMLIFrameElement>('iframe[data-ft-frame]')) {
    const { contentDocument } = frame;
    if (!contentDocument) continue;
    for (const element of contentDocument.querySelectorAll('[data-ft-pointed]'))
      element.removeAttribute('data-ft-pointed');
    if (property === null) continue;
    for (const element of changedBy(contentDocument, property)) {
      element.setAttribute('data-ft-pointed', '');
      count += 1;
    }
  }
  return count;
}

interface UsingRule {
  readonly selector: string;
  readonly style: CSSStyleDeclaration;
}

function changedBy(page: Document, property: string): ReadonlySet<Element> {
  const rules: UsingRule[] = [];
  for (const sheet of [...page.adoptedStyleSheets, ...page.styleSheets]) collect(sheet, rules, page.defaultView);
  const names = new Set([prefix + property]);
  // Properties that are made of others, over as many steps as there are.
  for (let size = 0; size !== names.size;) {
    size = names.size;
    for (const { style } of rules) {
      for (const name of style) {
        if (name.startsWith('--') && !names.has(name) && uses(style.getPropertyValue(name), names)) names.add(name);
      }
    }
  }
  const found = new Set<Element>();
  for (const { selector, style } of rules) {
    const isChanged = [...style].some((name) => !name.startsWith('--') && uses(style.getPropertyValue(name), names));
    // A shorthand that holds a variable has no value in its longhands.
    if (!isChanged && !uses(withoutProperties(style.cssText), names)) continue;
    for (const one of page.querySelectorAll(withoutPseudoElements(selector))) if (isShown(one)) found.add(one);
  }
  return found;
}

/** What a rule declares, but for custom properties. */
function withoutProperties(css: string): string {
  return css.replaceAll(/(?:^|;)\s*--[^:]+:[^;]*/gu, ';');
}

function uses(value: string, names: ReadonlySet<string>): boolean {
  const found = value.match(/--[\w-]+/gu) ?? [];
  return found.some((name) => names.has(name));
}

function collect(sheet: CSSStyleSheet, rules: UsingRule[], window: Window | null): void {
  let list: CSSRuleList;
  try {
    list = sheet.cssRules;
  } catch {
    // Of another origin: no page may see its rules.
    return;
  }
  collectRules(list, rules, window);
}

function collectRules(list: CSSRuleList, rules: UsingRule[], window: Window | null): void {
  for (const rule of list) {
    if ('media' in rule && 'cssRules' in rule) {
      const { mediaText } = (rule as CSSMediaRule).media;
      if (window && !window.matchMedia(mediaText).matches) continue;
    }
    if ('selectorText' in rule && 'style' in rule) {
      const { selectorText, style } = rule as CSSStyleRule;
      // The page of the sheet itself is not what is tuned.
      if (!selectorText.includes('.ft-sheet')) rules.push({ selector: selectorText, style });
    }
    if ('cssRules' in rule) collectRules((rule as CSSGroupingRule).cssRules, rules, window);
  }
}

/** The elements that pseudo-elements are of. */
function withoutPseudoElements(selector: string): string {
  return selector.replaceAll(/::[\w-]+(?:\([^)]*\))?/gu, '') || '*';
}

/** Root and body carry the properties; framing them says nothing. */
function isShown(element: Element): boolean {
  if (element.localName === 'html' || element.localName === 'body') return false;
  const { width, height } = element.getBoundingClientRect();
  return width > 0 && height > 0;
}
