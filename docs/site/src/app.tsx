import type { ReactNode } from 'react';
import { neighbors } from 'fair-trail';
import { Layout, SkipLink, usePosition } from 'fair-trail/react';
import { pages, records } from './pages.tsx';
import { SchemeChoice } from './scheme-choice.tsx';
import { navigation, site } from './site.ts';

const { Breadcrumbs, FooterNav, Navbar, Sidebar, Stage, Trail } = navigation;

interface AppProps {
  /** The address, where a server renders it. */
  readonly url?: string;
  /** The address that was rendered before. */
  readonly renderedUrl?: string;
}

export function App(address: AppProps): ReactNode {
  return (
    <Trail {...address} records={records}>
      <SkipLink />
      <Layout
        bar={<Navbar pinned="sticky" extent="window" endPlace="panel" brand={<Brand />} end={<SchemeChoice />} />}
        sidebar={<ContentsSidebar />}
        footer={<FooterNav foot="MIT licence. Marram Point and everything about it is invented." />}
      >
        <Breadcrumbs className="page-breadcrumbs" />
        <Stage pages={pages} />
        <PreviousAndNext />
      </Layout>
    </Trail>
  );
}

function Brand(): ReactNode {
  return (
    <>
      <svg className="brand-mark" viewBox="0 0 32 32" aria-hidden="true">
        <path className="brand-post" d="M6 6h5v20H6z" />
        <path className="brand-board" d="M15 7h11v4H15zM15 14h11v4H15zM15 21h8v4h-8z" />
      </svg>
      <span>Fair Trail</span>
    </>
  );
}

/** The pages without a place in the contents have the whole width. */
const widePages: readonly string[] = ['home', 'playground', 'search'];

function ContentsSidebar(): ReactNode {
  const { entry } = usePosition();
  if (entry && widePages.includes(entry.id)) return null;
  return <Sidebar menu="contents" label="Contents" search />;
}

/** The pages before and after this one, in the order of the contents. */
function PreviousAndNext(): ReactNode {
  const position = usePosition();
  const { previous, next } = neighbors(site, 'contents', position);
  if (!previous && !next) return null;
  return (
    <nav className="previous-and-next" aria-label="Previous and next page">
      <ul>
        {previous && (
          <li>
            <a href={previous.href} rel="prev">
              <span className="direction">Previous</span> {previous.label}
            </a>
          </li>
        )}
        {next && (
          <li className="next">
            <a href={next.href} rel="next">
              <span className="direction">Next</span> {next.label}
            </a>
          </li>
        )}
      </ul>
    </nav>
  );
}
