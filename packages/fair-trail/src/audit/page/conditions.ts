import { menusIn } from '../../reading/near.ts';
import { deepElements } from '../../reading/deep-elements.ts';
import { shadowOf } from '../../reading/shadow-roots.ts';

/** What people set for themselves so that they can read (WCAG 2.2, 1.4.12): each at least as much as a page must bear. */
const spacing =
  '* { line-height: 1.5 !important; letter-spacing: 0.12em !important; word-spacing: 0.16em !important }' +
  'p { margin-block-end: 2em !important }';

let sheet: CSSStyleSheet | null = null;

/** As a stylesheet of the reader's own: no policy of the page forbids it. */
export function spaceText(): void {
  sheet ??= new CSSStyleSheet();
  sheet.replaceSync(spacing);
  document.adoptedStyleSheets = [...document.adoptedStyleSheets, sheet];
  for (const element of deepElements(document, '*')) {
    const shadow = shadowOf(element);
    if (shadow) shadow.adoptedStyleSheets = [...shadow.adoptedStyleSheets, sheet];
  }
}

/** Doubles the text of the menus and nothing else, as a browser does that enlarges text alone. */
export function doubleText(): void {
  const elements = menusIn(document).flatMap((menu) => [menu as HTMLElement, ...deepElements(menu, '*')]);
  const sizes = elements.map((element) => Number.parseFloat(getComputedStyle(element).fontSize));
  elements.forEach((element, index) => {
    element.style.setProperty('font-size', `${2 * (sizes[index] ?? 16)}px`, 'important');
  });
}

/** Movements in the menus that go on although the reader has asked for less: those that carry something from place to place. */
export function movements(): readonly string[] {
  const menus = menusIn(document);
  return document.getAnimations().flatMap((animation) => {
    const effect = animation.effect as KeyframeEffect | null;
    const { target } = effect ?? { target: null };
    if (!effect || !target || animation.playState !== 'running') return [];
    if (!menus.some((menu) => menu.contains(target) || target.contains(menu))) return [];
    const duration = effect.getComputedTiming().duration;
    const isShort = typeof duration !== 'number' || duration < 100;
    const carries = effect
      .getKeyframes()
      .some((frame) =>
        ['transform', 'translate', 'left', 'top', 'width', 'height', 'maxHeight'].some((name) => name in frame),
      );
    return isShort || !carries ? [] : [target.localName];
  });
}
