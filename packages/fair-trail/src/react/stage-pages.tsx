import { useEffect, type ReactNode } from 'react';
import { labelOf } from '../core/site/labels.ts';
import { whenOnline } from '../parts/stage.ts';
import type { FailedPageProps, PageProps } from './page.ts';
import { useSurroundings } from './trail-context.ts';

/** While it is not known yet what to show. */
export function Waiting(): ReactNode {
  return null;
}

export function NotFound(): ReactNode {
  return <h1>{useSurroundings().wording.notFound}</h1>;
}

export function Denied(): ReactNode {
  return <h1>{useSurroundings().wording.denied}</h1>;
}

export function Planned({ position, params }: PageProps): ReactNode {
  const { site, records, wording } = useSurroundings();
  return (
    <>
      <h1>{position.entry && labelOf(site, position.entry, { params, records, language: position.language })}</h1>
      <p>{wording.planned}.</p>
    </>
  );
}

/** Offers to try again, and does so by itself once the browser is online again. */
export function FailedPage({ offline, retry }: FailedPageProps): ReactNode {
  const { wording } = useSurroundings();
  useEffect(() => (offline ? whenOnline(retry) : undefined), [offline, retry]);
  return (
    <>
      <h1>{offline ? wording.offline : wording.pageFailed}</h1>
      <p>
        <button type="button" data-ft-button="plain" onClick={retry}>
          {wording.tryAgain}
        </button>
      </p>
    </>
  );
}
