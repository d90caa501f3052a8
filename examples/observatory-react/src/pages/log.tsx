import type { ReactNode } from 'react';
import { TrailLink } from 'fair-trail/react';
import { recoveries, sessions } from '../../../observatory/content/today.ts';
import { Table } from './table.tsx';

export function LogPage(): ReactNode {
  return (
    <>
      <h1>Ringing log</h1>
      <p className="lead">For licensed ringers of the observatory. Enter the morning before you leave the hut.</p>
      <ul className="plain-links">
        <li>
          <TrailLink entry="log-sessions" /> — every morning’s nets and birds
        </li>
        <li>
          <TrailLink entry="log-recoveries" /> — our rings, read elsewhere
        </li>
        <li>
          <TrailLink entry="desk" /> — where the paper becomes the log
        </li>
      </ul>
    </>
  );
}

export function SessionsPage(): ReactNode {
  const birds = sessions.reduce((sum, session) => sum + session.birds, 0);
  return (
    <>
      <h1>Sessions</h1>
      <p>
        <TrailLink entry="log-autumn" />: {sessions.length} mornings, {birds} birds.
      </p>
    </>
  );
}

export function AutumnPage(): ReactNode {
  return (
    <>
      <h1>Autumn 2026</h1>
      <Table
        caption="Ringing sessions"
        head={['Date', 'Nets', 'Birds', 'New', 'Note']}
        rows={sessions.map(({ date, nets, birds, newBirds, note }) => [date, nets, birds, newBirds, note])}
      />
    </>
  );
}

export function RecoveriesPage(): ReactNode {
  return (
    <>
      <h1>Recoveries</h1>
      <Table
        caption="Rings of Marram Point found elsewhere"
        head={['Ring', 'Bird', 'Ringed', 'Found']}
        rows={recoveries.map(({ ring, bird, ringed, found }) => [ring, bird, ringed, found])}
      />
    </>
  );
}
