import type { ReactNode } from 'react';
import { TrailLink } from 'fair-trail/react';

export function AboutPage(): ReactNode {
  return (
    <>
      <h1>About</h1>
      <p className="lead">
        Marram Point has counted birds since 1961, from an old light on a tidal island that no one else wanted.
      </p>
      <p>
        Two <TrailLink entry="wardens">wardens</TrailLink> and some sixty volunteers keep the log. You can{' '}
        <TrailLink entry="support">help</TrailLink>.
      </p>
    </>
  );
}

export function WardensPage(): ReactNode {
  return (
    <>
      <h1>Wardens</h1>
      <dl className="facts">
        <dt>Ines Halloran</dt>
        <dd>Counts, the tern colony, and the boat</dd>
        <dt>Tomas Lindqvist</dt>
        <dd>Ringing, training, and the generator</dd>
      </dl>
    </>
  );
}

export function SupportPage(): ReactNode {
  return (
    <>
      <h1>Support us</h1>
      <p>
        Members pay for the boardwalk, the ropes round the colony and the winter’s coal. It starts at four shells a
        month.
      </p>
    </>
  );
}
