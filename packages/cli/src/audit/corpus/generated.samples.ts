import { styledDefects } from './defects.samples.ts';
import { siteStyles, soundStyles } from './styles.samples.ts';
import type { SampleSite } from './site-twins.samples.ts';

/** A defect in a style, and the style without it. */
export interface GeneratedCase {
  readonly rule: string;
  readonly style: string;
  /** Null for a site that is sound. */
  readonly broken: SampleSite | null;
  /** Only where it has not been audited with another defect. */
  readonly sound: SampleSite | null;
  readonly widths: readonly number[];
  readonly pages: number;
  readonly accept: readonly string[];
}

/** Every defect in every style that has what it needs. */
export const generated: readonly GeneratedCase[] = [
  ...styledDefects.flatMap(({ rule, name, needs, defect, widths = [400, 1280], pages = 1, accept = [] }) =>
    siteStyles
      .filter(({ has }) => needs.every((need) => has.has(need)))
      .map((style) => ({
        ...{ rule, style: `${name}, in ${style.name}`, broken: style.site(defect), sound: null },
        ...{ widths, pages, accept },
      })),
  ),
  ...[...siteStyles.map(({ name, site }) => [name, site({})] as const), ...soundStyles].map(([name, sound]) => ({
    ...{ rule: 'sound', style: name, broken: null, sound, widths: [320, 768, 1280], pages: 4, accept: [] },
  })),
];
