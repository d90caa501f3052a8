import type { Conditions } from './conditions.ts';

/** True in every window, and in none. */
const always = '(min-width: 0px)';
const never = '(max-width: 0px)';

type MediaConditions = Pick<Conditions, 'text' | 'scheme' | 'contrast' | 'motion'>;

/**
 * A media query as it is under conditions that no page can set for itself: features that ask for the reader's wishes are
 * answered, and lengths in `em` follow the size of the text, as they do for a reader who has set that in the browser. A
 * mouse is always there: the sheet shows what it does. And on paper it shows what is on the screen, so `print` becomes a
 * media type that no browser is of (Media Queries 4, section 2.3).
 */
export function mediaUnder(query: string, { text, scheme, contrast, motion }: MediaConditions): string {
  const answer = (holds: boolean) => (holds ? always : never);
  const answered = query.replaceAll(
    /\(\s*([a-z-]+)\s*(?::\s*([a-z-]+)\s*)?\)/giu,
    (feature, written: string, given?: string) => {
      const value = given?.toLowerCase();
      switch (written.toLowerCase()) {
        case 'hover':
        case 'any-hover':
          return answer(value !== 'none');
        case 'prefers-color-scheme':
          return scheme === 'system' ? feature : answer(value === undefined || value === scheme);
        case 'prefers-contrast':
          if (contrast === 'system') return feature;
          return answer(value === undefined ? contrast === 'more' : value === contrast);
        case 'prefers-reduced-motion':
          if (motion === 'system') return feature;
          return answer(value === undefined ? motion === 'reduce' : value === motion);
        default:
          return feature;
      }
    },
  );
  const onScreen = answered.replaceAll(/(?<![\w-])(print|screen)(?![\w-])/giu, (type: string) => {
    return type.toLowerCase() === 'print' ? 'tty' : 'all';
  });
  if (text === 100) return onScreen;
  return onScreen.replaceAll(/(\d*\.?\d+)(r?em)\b/giu, (_, value: string, unit: string) => {
    return `${(Number(value) * text) / 100}${unit}`;
  });
}
