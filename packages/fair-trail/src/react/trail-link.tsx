import { forwardRef, useContext, useEffect, useMemo, type AnchorHTMLAttributes } from 'react';
import { addressOf } from '../core/router/history.ts';
import { hrefOf } from '../core/site/hrefs.ts';
import { labelOf } from '../core/site/labels.ts';
import { locate, samePosition, unknownPosition } from '../core/site/locate.ts';
import type { Site } from '../core/site/site.ts';
import { ariaCurrent } from '../core/view/menu-view.ts';
import { checkLink, checkNames, namesIn } from '../parts/name-checks.ts';
import { linkElement, LinksContext } from './links.tsx';
import { useLocationPart, useSurroundings } from './trail-context.ts';

/**
 * The properties of a `TrailLink`.
 */
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
 * For an entry that the site does not have, or whose address cannot be written with these params, it is a link that leads
 * nowhere and says so (`aria-disabled`), and a development build warns: `entry-unknown` or `link-without-address`.
 *
 * @example
 * <TrailLink entry="species-page" params={{ slug: 'avocet' }}>Avocet</TrailLink>
 */
export const TrailLink = forwardRef<HTMLAnchorElement, TrailLinkProps>(function TrailLink(props, ref) {
  const { entry: id, params, search = '', hash = '', children, ...attributes } = props;
  const { site, records, warn } = useSurroundings();
  const links = useContext(LinksContext);
  const language = useLocationPart(({ position }) => position.language);
  const entry = site.entry(id);
  const path = pathTo(site, id, language, params);
  const target = useMemo(() => (path === null ? unknownPosition(site) : locate(site, addressOf(path))), [site, path]);
  const isHere = useLocationPart(({ position }) => position.status === 'exact' && samePosition(position, target));
  const isMissing = entry !== undefined && path === null;
  useEffect(() => {
    checkNames('TrailLink', { site, warn }, () => namesIn('entry', 'entry', id));
    checkLink(id, isMissing, { site, warn });
  }, [site, warn, id, isMissing]);
  const content = children ?? (entry ? labelOf(site, entry, { ...(params && { params }), records, language }) : id);
  const link =
    path === null
      ? // A link without an address, as HTML has it (section 4.6.1): it is said, and cannot be followed.
        { role: 'link', 'aria-disabled': true }
      : { 'aria-current': ariaCurrent(isHere ? 'page' : null) ?? undefined };
  const address = path === null ? {} : { href: path + search + hash };
  return linkElement({ ...(ref && { ref }), ...link, ...attributes, ...address, children: content }, links);
});

function pathTo(site: Site, id: string, language: string, params: TrailLinkProps['params']): string | null {
  const entry = site.entry(id);
  return entry ? hrefOf(site, entry, params, language) : null;
}
