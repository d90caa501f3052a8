import type { ReactNode } from 'react';
import { TabLinks, TrailLink, type PageProps } from 'fair-trail/react';
import { icon } from '../icons.tsx';
import { PointMap } from './point-map.tsx';
import { hides } from '../../../observatory/content/hides.ts';

export function HidesPage(): ReactNode {
  return (
    <>
      <HideLinks />
      <h1>Hides</h1>
      <p className="lead">Four places to watch from, each good at another state of the tide.</p>
      <div className="boards">
        {hides.map(({ id, name, best, seats }) => (
          <section key={id} className="board">
            <h2>
              <TrailLink entry={id}>{name}</TrailLink>
            </h2>
            <p>{best}</p>
            <p className="quiet">{seats} seats</p>
          </section>
        ))}
      </div>
      <PointMap />
    </>
  );
}

export function HidePage({ position }: PageProps): ReactNode {
  const hide = hides.find(({ id }) => id === position.entry?.id);
  if (!hide) return <h1>{position.entry?.label}</h1>;
  return (
    <>
      <HideLinks />
      <div className="with-map">
        <div>
          <h1>{hide.name}</h1>
          <p className="lead">{hide.text}</p>
          <dl className="facts">
            <dt>Seats</dt>
            <dd>{hide.seats}</dd>
            <dt>Best time</dt>
            <dd>{hide.best}</dd>
            <dt>The way there</dt>
            <dd>{hide.path}</dd>
          </dl>
          <p>
            Look up the <TrailLink entry="tides">tides</TrailLink> before you choose your hour.
          </p>
        </div>
        <PointMap here={hide.id} />
      </div>
    </>
  );
}

function HideLinks(): ReactNode {
  return <TabLinks menu="hides" label="Hides" icon={icon} className="hide-links" />;
}
