import type { ReactNode } from 'react';
import { TrailLink } from 'fair-trail/react';
import { tides } from '../../../observatory/content/today.ts';
import { Table } from './table.tsx';

export function TidesPage(): ReactNode {
  return (
    <>
      <h1>Tides</h1>
      <p className="lead">
        High water at the point, and the hours in which the <TrailLink entry="crossing">causeway</TrailLink> is dry.
      </p>
      <Table
        caption="This week"
        head={['Day', 'Morning', 'Evening', 'Height', 'Causeway dry']}
        rows={tides.map(({ day, morning, evening, height, crossing }) => [
          day,
          morning,
          evening,
          `${height.toFixed(1)} m`,
          crossing,
        ])}
      />
      <p>
        Closer to the moment: the <TrailLink entry="tide-gauge">tide gauge</TrailLink> and the{' '}
        <TrailLink entry="weather-mast">weather mast</TrailLink>.
      </p>
    </>
  );
}
