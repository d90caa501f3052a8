import { forwardRef, useMemo, type AnchorHTMLAttributes } from 'react';
import { addressOf, ariaCurrent, hrefIn, labelOf, locate, samePosition } from '../core/index.ts';
import { PrintedLink } from './links.tsx';
import { usePlace, useSurroundings } from './trail-context.ts';

export interface TrailLinkProps extends Omit<AnchorHTMLAttributes<HTMLAnchorElement>, 'href'> {
  /** The id of the entry to link to. */
  readonly entry: string;
  /** A value for each param of the entry's address. */
  readonly params?: Readonly<Record<string, string>>;
  /** Added to the address as it is, beginning with `?`. */
  readonly search?: string;
  /** Added to the address as it is, beginning with `#`. */
  readonly hash?: string;
}

/**
 * A link to an entry of the site, so that no address is written twice. It says when it leads to the page that it is on,
 * and shows the entry's label where it has no content.
 *
 * @throws HrefError for an id that the site does not have, or a param that is missing
 */
export const TrailLink = forwardRef<HTMLAnchorElement, TrailLinkProps>(function TrailLink(props, ref) {
  const { entry: id, params = {}, search = '', hash = '', children, ...attributes } = props;
  const { site, records } = useSurroundings();
  const language = usePlace(({ position }) => position.language);
  const path = hrefIn(site, id, language, params);
  const entry = site.entry(id);
  const target = useMemo(() => locate(site, addressOf(path)), [site, path]);
  const isHere = usePlace(({ position }) => position.status === 'exact' && samePosition(position, target));
  const link = {
    ref,
    'aria-current': ariaCurrent(isHere ? 'page' : null) ?? undefined,
    ...attributes,
    href: path + search + hash,
    children: children ?? (entry && labelOf(site, entry, { params, records, language })),
  };
  return <PrintedLink attributes={link} />;
});
