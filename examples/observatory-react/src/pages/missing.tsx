import type { ReactNode } from 'react';
import { labelOf } from 'fair-trail';
import { TrailLink, useTrail, type PageProps } from 'fair-trail/react';

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
