import { describe } from 'vitest';
import { defineSite } from '../core/site/define.ts';
import { everyEntry } from '../core/site/site.ts';
import { Layout } from './layout.tsx';
import type { Page } from './page.ts';
import { Sidebar } from './sidebar.tsx';
import { Stage } from './stage.tsx';
import { Trail } from './trail.tsx';
import type { MountSidebar, SidebarRequest } from '../testing/contracts/components/sidebar.ts';
import { sidebarAnnexContract } from '../testing/contracts/components/sidebar-annex.ts';
import { sidebarGroupsContract } from '../testing/contracts/components/sidebar-groups.ts';
import { sidebarNarrowContract } from '../testing/contracts/components/sidebar-narrow.ts';
import { sidebarRailContract } from '../testing/contracts/components/sidebar-rail.ts';
import { desk } from '../testing/sites.ts';
import { mount } from './mount.samples.tsx';

const ContentPage: Page = ({ position }) => (
  <>
    <h1>{position.entry?.id === 'rota' ? 'Rota' : 'Page'}</h1>
    <p>Content</p>
    <a href="/mast">Go to the mast</a>
  </>
);

const sites = new WeakMap<object, ReturnType<typeof defineSite>>();

const mountSidebar: MountSidebar = (request) => {
  if (request.url !== null) history.replaceState(null, '', request.url ?? '/');
  const app = ({ definition = desk, records, panel, url: _, ...sidebar }: SidebarRequest) => {
    const site = sites.get(definition) ?? defineSite(definition);
    sites.set(definition, site);
    const pages = Object.fromEntries([...everyEntry(site.entries)].map(({ id }) => [id, ContentPage]));
    return (
      <Trail site={site} {...(records && { records })} eagerness={null} viewTransitions={false}>
        <Layout
          sidebar={
            <Sidebar
              menu="desk"
              icon={() => <svg width="20" height="20" aria-hidden="true" />}
              {...(panel === true && { panel: (label: string) => <p>More about {label}</p> })}
              {...sidebar}
            />
          }
        >
          <Stage pages={pages} />
        </Layout>
      </Trail>
    );
  };
  const { render, unmount } = mount(app(request));
  return { update: (next) => render(app(next)), unmount };
};

describe('groups', () => sidebarGroupsContract(mountSidebar));
describe('rail', () => sidebarRailContract(mountSidebar));
describe('annex', () => sidebarAnnexContract(mountSidebar));
describe('narrow', () => sidebarNarrowContract(mountSidebar));
