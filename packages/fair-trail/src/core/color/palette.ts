import type { LinkState } from '../view/states.ts';
import type { Color } from './color.ts';

/** The colors that every theme has, and what each is for. */
export const colorNames = {
  paper: 'behind the page',
  'paper-raised': 'behind bars, panels and the footer',
  shade: 'behind what is hovered, and notices',
  'shade-deep': 'behind what is pressed or expanded',
  ink: 'text and strong lines',
  'ink-soft': 'text of less weight: summaries, notes',
  line: 'thin lines that only part things',
  'line-strong': 'the edges of controls and panels',
  lichen: 'the blaze: where one is',
  rust: 'the one call to action',
  'rust-deep': 'the same, hovered',
  'on-rust': 'text on rust',
  focus: 'the ring around what has focus',
} as const;

export type ColorName = keyof typeof colorNames;

/** The colors of one scheme, light or dark. */
export type Palette = Readonly<Record<ColorName, Color>>;

/** Two colors that meet on the screen, and how far apart they must be. */
export interface ColorPair {
  readonly foreground: ColorName;
  readonly background: ColorName;
  /** WCAG 2.2: 4.5 for text (1.4.3), 3 for what shows a state or the edge of a control (1.4.11). */
  readonly least: 4.5 | 3;
  /** In which states they meet, from the one list of states. */
  readonly states: readonly LinkState[];
  readonly what: string;
}

const text = (background: ColorName, states: readonly LinkState[], what: string): ColorPair => {
  return { foreground: 'ink', background, least: 4.5, states, what };
};
const sign = (foreground: ColorName, background: ColorName, states: readonly LinkState[], what: string): ColorPair => {
  return { foreground, background, least: 3, states, what };
};

export const colorPairs: readonly ColorPair[] = [
  text('paper', ['rest'], 'text of the page'),
  text('paper-raised', ['rest', 'current page', 'current section', 'pending'], 'labels'),
  text('shade', ['hover'], 'labels under the pointer, notices'),
  text('shade-deep', ['pressed', 'expanded'], 'labels that are pressed or expanded'),
  {
    foreground: 'paper-raised',
    background: 'ink',
    least: 4.5,
    states: ['expanded'],
    what: 'an open toggle, skip links',
  },
  { foreground: 'ink-soft', background: 'paper', least: 4.5, states: ['rest'], what: 'notes on the page' },
  { foreground: 'ink-soft', background: 'paper-raised', least: 4.5, states: ['rest', 'disabled'], what: 'summaries' },
  { foreground: 'ink-soft', background: 'shade', least: 4.5, states: ['hover'], what: 'summaries under the pointer' },
  {
    foreground: 'ink-soft',
    background: 'shade-deep',
    least: 4.5,
    states: ['pressed'],
    what: 'summaries that are pressed',
  },
  { foreground: 'on-rust', background: 'rust', least: 4.5, states: ['rest'], what: 'the call to action' },
  { foreground: 'on-rust', background: 'rust-deep', least: 4.5, states: ['hover'], what: 'the same, hovered' },
  sign('lichen', 'paper', ['current page', 'current section'], 'the blaze on the page'),
  sign('lichen', 'paper-raised', ['current page', 'current section'], 'the blaze'),
  sign('lichen', 'shade', ['hover'], 'the blaze under the pointer'),
  sign('lichen', 'shade-deep', ['pressed', 'expanded'], 'the blaze of what is pressed or expanded'),
  sign('focus', 'paper', ['focus'], 'the focus ring on the page'),
  sign('focus', 'paper-raised', ['focus'], 'the focus ring'),
  sign('focus', 'shade', ['focus'], 'the focus ring under the pointer'),
  sign('focus', 'shade-deep', ['focus'], 'the focus ring on what is pressed or expanded'),
  sign('line-strong', 'paper-raised', ['rest'], 'the edge of a control'),
  sign('rust', 'paper-raised', ['rest'], 'the edge of the call to action'),
];
