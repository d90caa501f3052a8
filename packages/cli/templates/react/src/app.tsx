import { bindSite, Breadcrumbs, Layout, Navbar, SkipLink, Stage, Trail } from 'fair-trail/react';
import { pages } from './pages/index.ts';
import site from './marram-point.site.json';

/** The components, knowing the names in the site file: a misspelled one is a type error. */
const navigation = bindSite(site, { Navbar, Stage, Trail });

interface AppProps {
  /** The address, where a server renders it. */
  readonly url?: string;
  /** The address that was rendered before. */
  readonly renderedUrl?: string;
}

/** What all pages share. */
export function App(props: AppProps) {
  return (
    <navigation.Trail {...props}>
      <SkipLink />
      <Layout bar={<navigation.Navbar pinned="sticky" />}>
        <Breadcrumbs />
        <navigation.Stage pages={pages} />
      </Layout>
    </navigation.Trail>
  );
}
