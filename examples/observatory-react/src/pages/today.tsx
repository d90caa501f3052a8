import type { ReactNode } from 'react';
import { TrailLink } from 'fair-trail/react';
import { species } from '../../../observatory/content/species.ts';
import { today } from '../../../observatory/content/today.ts';
import { Table } from './table.tsx';

export function TodayPage(): ReactNode {
  const { causeway, highWater, sightings } = today;
  return (
    <>
      <p className="kicker">{today.date}</p>
      <h1>Today at the point</h1>
      <div className="boards">
        <section className="board">
          <h2>Causeway</h2>
          <p className="figure">
            {causeway.opens} to {causeway.closes}
          </p>
          <p>
            Dry for six hours and forty minutes. Read <TrailLink entry="crossing">how to cross</TrailLink> before you
            set out.
          </p>
        </section>
        <section className="board">
          <h2>High water</h2>
          <p className="figure">{highWater.join(' · ')}</p>
          <p>
            The evening tide fills the inner bar. <TrailLink entry="tides">The week’s tides</TrailLink>
          </p>
        </section>
        <section className="board">
          <h2>Weather</h2>
          <p className="figure">7 °C</p>
          <p>{today.weather}.</p>
        </section>
      </div>
      <Table
        caption="Seen this morning"
        head={['Time', 'Bird', 'Count', 'Where', 'Observer']}
        rows={sightings.map(({ time, slug, count, place, observer }) => [
          time,
          <TrailLink key={slug} entry="species-page" params={{ slug }}>
            {species.find((bird) => bird.slug === slug)?.name}
          </TrailLink>,
          count.toLocaleString('en'),
          place,
          observer,
        ])}
      />
      <p>
        Saw something we should know of? Tell the warden on duty, or come to the evening count in the{' '}
        <TrailLink entry="lantern-room" />.
      </p>
    </>
  );
}
