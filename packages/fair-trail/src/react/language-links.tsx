import { forwardRef, type HTMLAttributes } from 'react';
import { LanguagesPart } from '../parts/plain-parts.ts';
import { PrintedView } from './printed-view.tsx';
import { usePosition, useSurroundings } from './trail-context.ts';
import { usePart } from './use-part.ts';

export interface LanguageLinksProps extends Omit<HTMLAttributes<HTMLElement>, 'children'> {
  /** Names to show instead of those that the browser knows, by language. */
  readonly names?: Readonly<Record<string, string>>;
}

/**
 * Links to the same page in each of the site's languages.
 *
 * @example
 * <LanguageLinks names={{ cy: 'Cymraeg' }} />
 */
export const LanguageLinks = forwardRef<HTMLElement, LanguageLinksProps>(function LanguageLinks(props, ref) {
  const { names, ...attributes } = props;
  const trail = useSurroundings();
  const position = usePosition();
  const { view, printer, rootRef } = usePart(LanguagesPart, { trail, position, names }, ref);
  return view && <PrintedView view={view} printer={printer} attributes={attributes} elementRef={rootRef} />;
});
