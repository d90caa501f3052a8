import type { ReactNode } from 'react';
import { Tablist, Tabpanel, Tabs, TrailLink, type PageProps } from 'fair-trail/react';
import { species, type Species } from '../../../observatory/content/species.ts';
import { NotFound } from './missing.tsx';
import { Table } from './table.tsx';

const monthNames = [
  'January',
  'February',
  'March',
  'April',
  'May',
  'June',
  'July',
  'August',
  'September',
  'October',
  'November',
  'December',
];
const months = monthNames.map((name) => name.slice(0, 3));

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
  return (
    <>
      <p className="kicker" lang="la">
        {bird.latin}
      </p>
      <h1>{bird.name}</h1>
      {/* Each part of the page can be sent to someone. */}
      <Tabs tabs={parts} label={`About the ${bird.name.toLowerCase()}`} linkedTo={{ query: 'part' }}>
        <Tablist />
        <Tabpanel id="overview">
          <p className="lead">{bird.text}</p>
          <dl className="facts">
            <dt>Season</dt>
            <dd>{bird.season}</dd>
            <dt>Status</dt>
            <dd>{bird.status}</dd>
          </dl>
        </Tabpanel>
        <Tabpanel id="sightings">
          <Sightings bird={bird} />
        </Tabpanel>
        <Tabpanel id="sounds">
          <p>No one has brought a microphone yet. The hut lends one to whoever asks.</p>
        </Tabpanel>
        <Tabpanel id="records">
          <p>
            Highest count of the year: {Math.max(...bird.counts).toLocaleString('en')}, in{' '}
            {monthNames[bird.counts.indexOf(Math.max(...bird.counts))]}.
          </p>
        </Tabpanel>
      </Tabs>
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

const parts = [
  { id: 'overview', label: 'Overview' },
  { id: 'sightings', label: 'Sightings' },
  { id: 'sounds', label: 'Sounds' },
  { id: 'records', label: 'Records' },
];

function Sightings({ bird }: { readonly bird: Species }): ReactNode {
  const highest = Math.max(...bird.counts, 1);
  return (
    <>
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
    </>
  );
}
