/** One property on its way from one state to another. Times are in milliseconds. */
export interface Transit {
  readonly property: string;
  readonly delay: number;
  readonly duration: number;
  /** As CSS writes it. */
  readonly easing: string;
}

/** The computed values of the four longhands (CSS Transitions, section 2), as a style declaration gives them. */
export interface TransitionValues {
  readonly transitionProperty: string;
  readonly transitionDuration: string;
  readonly transitionDelay: string;
  readonly transitionTimingFunction: string;
}

/**
 * What moves by a computed style, in the order written: lists that are shorter than that of the properties begin again
 * (section 2.5). What takes no time and waits for nothing does not move.
 */
export function transitsOf(values: TransitionValues): readonly Transit[] {
  const properties = splitList(values.transitionProperty);
  const at = (list: readonly string[], index: number) => list[index % list.length] ?? '';
  const durations = splitList(values.transitionDuration);
  const delays = splitList(values.transitionDelay);
  const easings = splitList(values.transitionTimingFunction);
  return properties
    .filter((property) => property !== 'none')
    .map((property, index) => ({
      property,
      delay: milliseconds(at(delays, index)),
      duration: milliseconds(at(durations, index)),
      easing: easingName(at(easings, index)),
    }))
    .filter(({ delay, duration }) => delay + duration > 0);
}

/** The curves that CSS has names for (CSS Easing 2, section 2.2.1), as browsers compute them. */
const curveNames: Readonly<Record<string, string>> = {
  'cubic-bezier(0.25, 0.1, 0.25, 1)': 'ease',
  'cubic-bezier(0.42, 0, 1, 1)': 'ease-in',
  'cubic-bezier(0, 0, 0.58, 1)': 'ease-out',
  'cubic-bezier(0.42, 0, 0.58, 1)': 'ease-in-out',
};

function easingName(easing: string): string {
  return curveNames[easing] ?? easing;
}

/** The same values of an animation by keyframes, which moves under its name (CSS Animations 1, section 3). */
export interface AnimationValues {
  readonly animationName: string;
  readonly animationDuration: string;
  readonly animationDelay: string;
  readonly animationTimingFunction: string;
}

/** All that moves by a computed style. */
export function movementOf(style: TransitionValues & AnimationValues): readonly Transit[] {
  const animations = transitsOf({
    transitionProperty: style.animationName,
    transitionDuration: style.animationDuration,
    transitionDelay: style.animationDelay,
    transitionTimingFunction: style.animationTimingFunction,
  });
  return [...animations, ...transitsOf(style)];
}

/** The end of the last of them. */
export function lengthOf(transits: readonly Transit[]): number {
  return Math.max(0, ...transits.map(({ delay, duration }) => delay + duration));
}

/** At commas, but not at those between parentheses. */
function splitList(text: string): readonly string[] {
  return text.split(/,(?![^(]*\))/u).map((part) => part.trim());
}

function milliseconds(time: string): number {
  const value = Number.parseFloat(time);
  if (!Number.isFinite(value)) return 0;
  return /\dms$/u.test(time) ? value : value * 1000;
}
