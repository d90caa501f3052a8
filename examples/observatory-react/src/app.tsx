import type { ReactNode } from 'react';
import { Breadcrumbs, Layout, Notice, SkipLink, usePosition, useTrail } from 'fair-trail/react';
import { Brand } from './brand.tsx';
import { icon } from './icons.tsx';
import { pages } from './pages/index.ts';
import { Denied, Failed, NotFound } from './pages/missing.tsx';
import { badges, records } from './records.ts';
import { useSignedIn } from './signed-in.ts';
import { navigation } from './site.ts';

const { FooterNav, Navbar, Sidebar, Stage, Trail, TrailLink } = navigation;

const ringer = ['ringer'] as const;
const nobody: readonly 'ringer'[] = [];

interface AppProps {
  /** The address, where a server renders it. */
  readonly url?: string;
  /** The address that was rendered before. */
  readonly renderedUrl?: string;
}

export function App(address: AppProps): ReactNode {
  const [signedIn, setSignedIn] = useSignedIn();
  const audience = signedIn === null ? 'unknown' : signedIn ? ringer : nobody;
  const act = (action: string) => setSignedIn(action === 'sign-in');
  return (
    <Trail {...address} audience={audience} records={records} badges={badges} onAction={act}>
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
              <TrailLink entry="book" data-ft-button="primary">
                Book a visit
              </TrailLink>
            }
          />
        }
        sidebar={<DeskSidebar />}
        footer={<FooterNav foot="2026 · Marram Point and everything about it is invented for this example." />}
      >
        <Breadcrumbs className="observatory-breadcrumbs" siblings />
        <Stage pages={pages} notFound={NotFound} denied={Denied} failed={Failed} />
      </Layout>
    </Trail>
  );
}

const seasons = ['season-autumn', 'season-spring'] as const;

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
