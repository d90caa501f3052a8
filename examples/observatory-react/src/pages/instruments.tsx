import type { ReactNode } from 'react';
import { TrailLink } from 'fair-trail/react';
import { gauge, mast } from '../../../observatory/content/instruments.ts';
import { Table } from './table.tsx';

export function GaugePage(): ReactNode {
  return (
    <>
      <h1>Tide gauge</h1>
      <p className="lead">
        What the gauge at the halfway post measured in the last hours. The line to it is slow, and so this page takes
        its time.
      </p>
      <Table
        caption="Water over the roadway"
        head={['Time', 'Level']}
        rows={gauge.map(({ at, level }) => [at, level])}
      />
    </>
  );
}

export function MastPage(): ReactNode {
  return (
    <>
      <h1>Weather mast</h1>
      <p className="lead">
        From the mast beside the <TrailLink entry="lantern-room" />. The first calls of the day rarely get through.
      </p>
      <dl className="facts">
        {mast.map(({ name, value }) => (
          <div key={name} className="fact">
            <dt>{name}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
