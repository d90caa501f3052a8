import type { ReactNode } from 'react';
import { labelOf } from 'fair-trail';
import { TrailLink, useSite, type PageProps } from 'fair-trail/react';
import {
  autumnSessions,
  ringStock,
  rota,
  springSessions,
  type DeskSession,
} from '../../../observatory/content/desk.ts';
import { NotFound } from './missing.tsx';
import { Table } from './table.tsx';

const sessionsOf = (id: string): readonly DeskSession[] =>
  id.startsWith('season-autumn') ? autumnSessions : springSessions;

export function DeskPage(): ReactNode {
  const waiting = autumnSessions.filter(({ checked }) => !checked);
  return (
    <>
      <h1>Data desk</h1>
      <p className="lead">
        Where the morning’s paper becomes the log. {waiting.length} sessions wait for a second pair of eyes.
      </p>
      <SessionTable caption="To be checked" season="season-autumn" sessions={waiting} />
    </>
  );
}

export function CheckPage(): ReactNode {
  return (
    <>
      <h1>To be checked</h1>
      <SessionTable
        caption="Sessions that no one has read twice"
        season="season-autumn"
        sessions={autumnSessions.filter(({ checked }) => !checked)}
      />
    </>
  );
}

export function RotaPage(): ReactNode {
  return (
    <>
      <h1>Rota</h1>
      <Table caption="Who rings, who writes" head={['Day', 'Rings', 'Writes']} rows={rota} />
    </>
  );
}

export function RingsPage(): ReactNode {
  return (
    <>
      <h1>Ring stock</h1>
      <Table caption="Rings in the drawer" head={['Size', 'For', 'Left']} rows={ringStock} />
    </>
  );
}

export function SeasonsPage(): ReactNode {
  return (
    <>
      <h1>Seasons</h1>
      <ul className="plain-links">
        <li>
          <TrailLink entry="season-autumn" /> — {autumnSessions.length} sessions
        </li>
        <li>
          <TrailLink entry="season-spring" /> — {springSessions.length} sessions
        </li>
      </ul>
    </>
  );
}

export function SeasonPage({ position }: PageProps): ReactNode {
  const id = position.entry?.id ?? '';
  const sessions = sessionsOf(id);
  return (
    <>
      <h1>{id === 'season-autumn' ? 'Autumn 2026' : 'Spring 2026'}</h1>
      <SessionTable caption="Sessions of the season" season={id} sessions={sessions} />
    </>
  );
}

export function SessionPage(props: PageProps): ReactNode {
  const { position, params } = props;
  const id = position.entry?.id ?? '';
  const session = sessionsOf(id).find(({ slug }) => slug === params['session']);
  if (!session) return <NotFound {...props} />;
  return (
    <>
      <h1>Session of {session.label}</h1>
      <p className="lead">
        Rung by {session.ringer}. {session.checked ? 'Read twice.' : 'Waits for a second reader.'}
      </p>
      <Table
        caption="Net rounds"
        head={['Round', 'Time', 'Birds']}
        rows={session.rounds.map(({ time, birds }, index) => [
          <TrailLink
            key={time}
            entry={id.replace('-session', '-round')}
            params={{ session: session.slug, round: String(index + 1) }}
          />,
          time,
          birds,
        ])}
      />
    </>
  );
}

export function RoundPage(props: PageProps): ReactNode {
  const { position, params } = props;
  const session = sessionsOf(position.entry?.id ?? '').find(({ slug }) => slug === params['session']);
  const found = session?.rounds[Number(params['round']) - 1];
  if (!session || !found) return <NotFound {...props} />;
  return (
    <>
      <h1>Net round {params['round']}</h1>
      <p className="lead">
        {found.birds} birds at {found.time}, on {session.label}.
      </p>
    </>
  );
}

/** A page of the desk with nothing to show but its name. */
export function PlainDeskPage({ position, params }: PageProps): ReactNode {
  const site = useSite();
  return (
    <>
      <h1>{position.entry && labelOf(site, position.entry, { params })}</h1>
      <p className="lead">The sheets of this drawer have not been typed yet.</p>
    </>
  );
}

interface SessionTableProps {
  readonly caption: string;
  readonly season: string;
  readonly sessions: readonly DeskSession[];
}

function SessionTable({ caption, season, sessions }: SessionTableProps): ReactNode {
  return (
    <Table
      caption={caption}
      head={['Session', 'Ringer', 'Birds', 'Read']}
      rows={sessions.map(({ slug, label, ringer, rounds, checked }) => [
        <TrailLink key={slug} entry={`${season}-session`} params={{ session: slug }}>
          {label}
        </TrailLink>,
        ringer,
        rounds.reduce((sum, { birds }) => sum + birds, 0),
        checked ? 'twice' : 'once',
      ])}
    />
  );
}
