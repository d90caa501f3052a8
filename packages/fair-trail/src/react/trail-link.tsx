import { forwardRef, useContext, useEffect, useMemo, type AnchorHTMLAttributes } from 'react';
import { checkEntryLink, entryLink, entryLinkAttributes, leadsTo } from '../parts/entry-link.ts';
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
  const { entry, params, search, hash, children, ...attributes } = props;
  const trail = useSurroundings();
  const links = useContext(LinksContext);
  const language = useLocationPart(({ position }) => position.language);
  // An app writes the params again for each drawing: what they say is what counts.
  const written = params && JSON.stringify(params);
  const link = useMemo(
    () => entryLink(trail, { entry, params, search, hash }, language),
    // eslint-disable-next-line react-hooks/exhaustive-deps -- See above.
    [trail, entry, written, search, hash, language],
  );
  const isHere = useLocationPart(({ position }) => leadsTo(link, position));
  useEffect(() => checkEntryLink(link, trail), [link, trail]);
  const { href, ...said } = entryLinkAttributes(link, isHere);
  const own: Record<string, unknown> = {};
  for (const [name, value] of Object.entries(said)) if (value !== null) own[name] = value;
  const address = href === null ? {} : { href };
  return linkElement(
    { ...(ref && { ref }), ...own, ...attributes, ...address, children: children ?? link.label },
    links,
  );
});
