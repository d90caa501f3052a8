import type { ReactNode } from 'react';
import { TrailLink } from 'fair-trail/react';

export function VisitPage(): ReactNode {
  return (
    <>
      <h1>Visit</h1>
      <p className="lead">Open every day that the causeway is. Day visitors are welcome; the hut sleeps nine.</p>
      <ul className="plain-links">
        <li>
          <TrailLink entry="getting-here" /> — train, bus, and the last two kilometres
        </li>
        <li>
          <TrailLink entry="access" /> — paths, seats, steps and the hearing loop
        </li>
        <li>
          <TrailLink entry="walks" /> — with a warden, three times a week
        </li>
        <li>
          <TrailLink entry="book" /> — so that we know how many are on the island
        </li>
      </ul>
    </>
  );
}

export function GettingHerePage(): ReactNode {
  return (
    <>
      <h1>Getting here</h1>
      <p>
        Bus 41 runs from Saltby station to the causeway head, at ten past every hour until six. From there it is a walk
        of two kilometres, or a ride on the warden’s trailer if you <TrailLink entry="book">book</TrailLink> it.
      </p>
      <p>
        Read <TrailLink entry="crossing" /> first. It floods faster than it looks.
      </p>
    </>
  );
}

export function CrossingPage(): ReactNode {
  return (
    <>
      <h1>Crossing the causeway</h1>
      <ol>
        <li>
          Look up the dry hours in the <TrailLink entry="tides">tide table</TrailLink>.
        </li>
        <li>Start at least an hour before the end of them. It takes thirty minutes.</li>
        <li>If water stands on the roadway, turn back. There is a refuge at the halfway post.</li>
      </ol>
    </>
  );
}

export function AccessPage(): ReactNode {
  return (
    <>
      <h1>Access on site</h1>
      <p>
        The <TrailLink entry="causeway-hide" /> and the <TrailLink entry="reedbed-hide" /> are level all the way. The{' '}
        <TrailLink entry="lantern-room" /> has 71 steps and no lift; its view is on a screen in the visitor room.
      </p>
    </>
  );
}

export function WalksPage(): ReactNode {
  return (
    <>
      <h1>Guided walks</h1>
      <dl className="facts">
        <dt>Tuesday</dt>
        <dd>Waders at the turn of the tide, two hours</dd>
        <dt>Thursday</dt>
        <dd>Reedbed at first light, ninety minutes</dd>
        <dt>Saturday</dt>
        <dd>Round the point, for families, one hour</dd>
      </dl>
    </>
  );
}
