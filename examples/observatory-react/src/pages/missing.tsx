import type { ReactNode } from 'react';
import { labelOf } from 'fair-trail';
import { TrailLink, useTrail, type FailedPageProps, type PageProps } from 'fair-trail/react';

export function NotFound({ position }: PageProps): ReactNode {
  const { site, records } = useTrail();
  const section = position.path[0];
  return (
    <>
      <h1>Page not found</h1>
      <p>
        The tide took it, or it never was.{' '}
        {section ? (
          <>
            You are somewhere below{' '}
            <TrailLink entry={section.id}>{labelOf(site, section, { params: position.params, records })}</TrailLink>.
          </>
        ) : (
          <>
            Begin again at <TrailLink entry="today" />.
          </>
        )}
      </p>
    </>
  );
}

export function Denied(): ReactNode {
  return (
    <>
      <h1>For ringers</h1>
      <p>The ringing log is open to the observatory’s ringers. Sign in with the button at the top of the page.</p>
    </>
  );
}

export function Failed({ offline, retry }: FailedPageProps): ReactNode {
  return (
    <>
      <h1>{offline ? 'No line to the mainland' : 'No answer from this page'}</h1>
      <p>
        {offline
          ? 'You are offline, and this page was not loaded before. It comes by itself once the line is back.'
          : 'It could not be loaded just now. The rest of the site is still here.'}
      </p>
      <button type="button" data-ft-button="plain" onClick={retry}>
        Try again
      </button>
    </>
  );
}
