import { createElement, forwardRef, type ComponentType, type HTMLAttributes, type ReactNode } from 'react';
import { labelOf, mayAccess, stageView, type Position } from '../core/index.ts';
import { useTrail } from './trail.tsx';
import { ViewRoot } from './view.tsx';

/** What a page is told about the address it is shown at. */
export interface PageProps {
  readonly position: Position;
  /** The params of the address, percent-decoded. */
  readonly params: Readonly<Record<string, string>>;
}

export type Page = ComponentType<PageProps>;

export interface StageProps extends Omit<HTMLAttributes<HTMLElement>, 'children'> {
  /** The page of each entry, by the entry's id. */
  readonly pages: Readonly<Record<string, Page>>;
  /** Shown at an address that is no page of the site. Default: a heading that says so. */
  readonly notFound?: Page;
  /** Shown instead of a page that the visitor's audiences do not open. Default: a heading that says so. */
  readonly denied?: Page;
  /** Shown for a planned entry that has no page yet. Default: its label and a line that says so. */
  readonly planned?: Page;
}

/** Shows the page of the current position, as the document's main content. */
export const Stage = forwardRef<HTMLElement, StageProps>(function Stage(props, ref) {
  const { pages, notFound = NotFound, denied = Denied, planned = Planned, ...attributes } = props;
  const { position, audience } = useTrail();
  const { entry, status, params } = position;

  let page = notFound;
  if (entry && status === 'exact') {
    const own = Object.hasOwn(pages, entry.id) ? pages[entry.id] : undefined;
    // While it is not known who is looking, a page for some is shown to nobody, and refused to nobody.
    const access = mayAccess(entry, audience);
    if (access === null) page = Waiting;
    else if (!access) page = denied;
    else if (own) page = own;
    else if (entry.planned) page = planned;
  }
  // Two addresses of one entry are two pages: what one of them remembers is not the other's.
  const key = JSON.stringify([entry?.id, params]);
  const surroundings = {
    slots: { page: () => createElement(page, { key, position, params }) },
    send: () => undefined,
  };
  return <ViewRoot view={stage} surroundings={surroundings} attributes={attributes} elementRef={ref} />;
});

const stage = stageView();

function Waiting(): ReactNode {
  return null;
}

function NotFound(): ReactNode {
  return <h1>{useTrail().wording.notFound}</h1>;
}

function Denied(): ReactNode {
  return <h1>{useTrail().wording.denied}</h1>;
}

function Planned({ position, params }: PageProps): ReactNode {
  const { site, records, wording } = useTrail();
  return (
    <>
      <h1>{position.entry && labelOf(site, position.entry, { params, records, language: position.language })}</h1>
      <p>{wording.planned}.</p>
    </>
  );
}
