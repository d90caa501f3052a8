import type { ReactNode } from 'react';
import { TrailLink, type PageProps } from 'fair-trail/react';
import { species } from '../../../observatory/content/species.ts';
import { NotFound } from './missing.tsx';
import { Table } from './table.tsx';

const months = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

export function SpeciesListPage(): ReactNode {
  return (
    <>
      <h1>Species</h1>
      <p className="lead">Eight birds that people come to the point for, and when they find them.</p>
      <Table
        caption="Birds of the point"
        head={['Bird', 'Season', 'At the point']}
        rows={species.map(({ slug, name, season, status }) => [
          <TrailLink key={slug} entry="species-page" params={{ slug }}>
            {name}
          </TrailLink>,
          season,
          status,
        ])}
      />
    </>
  );
}

export function SpeciesPage(props: PageProps): ReactNode {
  const index = species.findIndex(({ slug }) => slug === props.params['slug']);
  const bird = species[index];
  if (!bird) return <NotFound {...props} />;
  const next = species[(index + 1) % species.length];
  const highest = Math.max(...bird.counts, 1);
  return (
    <>
      <p className="kicker" lang="la">
        {bird.latin}
      </p>
      <h1>{bird.name}</h1>
      <p className="lead">{bird.text}</p>
      <dl className="facts">
        <dt>Season</dt>
        <dd>{bird.season}</dd>
        <dt>Status</dt>
        <dd>{bird.status}</dd>
      </dl>
      <h2>Highest count of each month</h2>
      <ol className="months" role="list">
        {bird.counts.map((count, month) => (
          <li key={months[month]}>
            <span className="month">{months[month]}</span>
            <meter min={0} max={highest} value={count}>
              {count}
            </meter>
            <span className="count">{count.toLocaleString('en')}</span>
          </li>
        ))}
      </ol>
      {next && (
        <p>
          Next bird:{' '}
          <TrailLink entry="species-page" params={{ slug: next.slug }}>
            {next.name}
          </TrailLink>
        </p>
      )}
    </>
  );
}
