import { useState, type ReactNode } from 'react';
import {
  Breadcrumbs,
  FooterNav,
  Layout,
  Navbar,
  Notice,
  Sidebar,
  SkipLink,
  Stage,
  Trail,
  TrailLink,
  usePosition,
  useTrail,
} from 'fair-trail/react';
import { autumnSessions, springSessions, type DeskSession } from '../../observatory/content/desk.ts';
import { speciesRecords } from '../../observatory/content/species.ts';
import { icon } from './icons.tsx';
import { pages } from './pages/index.ts';
import { Denied, Failed, NotFound } from './pages/missing.tsx';
import { site } from './site.ts';

const sessionRecords = (sessions: readonly DeskSession[]) =>
  sessions.map(({ slug, label }) => ({ params: { session: slug }, label }));
const records = {
  species: speciesRecords,
  'autumn-sessions': sessionRecords(autumnSessions),
  'spring-sessions': sessionRecords(springSessions),
};
/** What has come in since the last visit. */
const badges = {
  'desk-check': { text: '2', spoken: '2 sessions' },
  'log-sessions': { text: '3', spoken: '3 new sessions' },
};
const ringer = ['ringer'];
const nobody: string[] = [];

export function App(): ReactNode {
  const [signedIn, setSignedIn] = useState(() => readSignedIn());
  const toggleSignedIn = () => {
    setSignedIn(!signedIn);
    storeSignedIn(!signedIn);
  };
  return (
    <Trail site={site} audience={signedIn ? ringer : nobody} records={records} badges={badges}>
      <SkipLink />
      <Layout
        notice={
          <Notice name="spring-tide-2026-11">
            A spring tide covers the causeway from 15:20 today.{' '}
            <TrailLink entry="crossing">Plan your crossing</TrailLink>.
          </Notice>
        }
        bar={
          <Navbar
            className="observatory-bar"
            pinned="sticky"
            givesWay="hide"
            hoverOpens
            brand={<Brand />}
            end={
              <>
                <button type="button" className="quiet-button" onClick={toggleSignedIn}>
                  {signedIn ? 'Sign out' : 'Sign in'}
                </button>
                <TrailLink entry="book" className="sign-button">
                  Book a visit
                </TrailLink>
              </>
            }
          />
        }
        sidebar={<DeskSidebar />}
        footer={<FooterNav foot="2026 · Marram Point and everything about it is invented for this example." />}
      >
        <div className="column">
          <Breadcrumbs className="observatory-breadcrumbs" siblings />
          <Stage pages={pages} notFound={NotFound} denied={Denied} failed={Failed} />
        </div>
      </Layout>
    </Trail>
  );
}

const seasons = ['season-autumn', 'season-spring'];

/** The inside of the observatory has a navigation of its own. */
function DeskSidebar(): ReactNode {
  const { path } = usePosition();
  const { audience } = useTrail();
  const isInside = path.some(({ id }) => id === 'desk') && audience.includes('ringer');
  if (!isInside) return null;
  return (
    <Sidebar
      menu="desk"
      label="Data desk"
      icon={icon}
      search
      rail
      annex={seasons}
      panel={(season) => <p className="annex-note">Paper sheets of {season.toLowerCase()} lie in the green drawer.</p>}
    />
  );
}

function Brand(): ReactNode {
  return (
    <>
      <svg className="brand-mark" viewBox="0 0 32 32" aria-hidden="true">
        <path className="brand-board" d="M4 0h24l4 4v24l-4 4H4l-4-4V4z" />
        <path className="brand-bird" d="M5 24h22M8 19c4-1 6-4 8-10 1 5 4 9 9 10M16 9v10" />
      </svg>
      <span>
        Marram Point <span className="brand-second">Bird Observatory</span>
      </span>
    </>
  );
}

const signedInKey = 'observatory-signed-in';

function readSignedIn(): boolean {
  try {
    return localStorage.getItem(signedInKey) === 'yes';
  } catch {
    return false; // Storage is refused: every visit begins signed out.
  }
}

function storeSignedIn(signedIn: boolean): void {
  try {
    localStorage.setItem(signedInKey, signedIn ? 'yes' : 'no');
  } catch {
    // Then it lasts until the page is left.
  }
}
