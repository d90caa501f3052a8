import { forwardRef, type HTMLAttributes } from 'react';
import { languageLinks } from '../core/site/language-links.ts';
import { languagesView } from '../core/view/languages-view.ts';
import { usePosition, useSurroundings } from './trail-context.ts';
import { useShared } from './use-shared.ts';
import { ViewRoot, type ViewSurroundings } from './view.tsx';

export interface LanguageLinksProps extends Omit<HTMLAttributes<HTMLElement>, 'children'> {
  /** Names to show instead of those that the browser knows, by language. */
  readonly names?: Readonly<Record<string, string>>;
}

const surroundings: ViewSurroundings = { slots: {}, send: () => undefined };

/**
 * Links to the same page in each of the site's languages.
 *
 * @example
 * <LanguageLinks names={{ cy: 'Cymraeg' }} />
 */
export const LanguageLinks = forwardRef<HTMLElement, LanguageLinksProps>(function LanguageLinks(props, ref) {
  const { names, ...attributes } = props;
  const { site, wording } = useSurroundings();
  const view = useShared(languagesView(languageLinks(site, usePosition(), names), wording));
  return <ViewRoot view={view} surroundings={surroundings} attributes={attributes} elementRef={ref} />;
});
