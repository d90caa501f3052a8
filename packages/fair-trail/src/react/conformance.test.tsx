import type { ReactNode } from 'react';
import { HtmlValidate } from 'html-validate';
import { renderToStaticMarkup } from 'react-dom/server';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { defineSite } from '../core/site/define.ts';
import type { NarrowForm } from '../core/view/bar-view.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { FooterNav } from './footer-nav.tsx';
import { LanguageLinks } from './language-links.tsx';
import { Layout } from './layout.tsx';
import { Navbar } from './navbar.tsx';
import { Notice } from './notice.tsx';
import { Sidebar } from './sidebar.tsx';
import { SkipLink } from './skip-link.tsx';
import { TabLinks } from './tab-links.tsx';
import { Tablist, Tabpanel, Tabs } from './tabs.tsx';
import { Trail } from './trail.tsx';
import { bilingual, deep, desk, nested } from '../testing/sites.ts';

// React complains there of attributes that it does not know by the name they were given.
const errors = vi.spyOn(console, 'error');
beforeEach(() => void errors.mockClear());

const validator = new HtmlValidate({ root: true, extends: ['html-validate:standard'] });

async function complaintsAbout(content: ReactNode): Promise<readonly string[]> {
  const html = `<!DOCTYPE html>\n<html lang="en"><head><title>Page</title></head><body>${renderToStaticMarkup(content)}</body></html>`;
  const { results } = await validator.validateString(html);
  return results.flatMap(({ messages }) => messages.map(({ ruleId, message }) => `${ruleId}: ${message}`));
}

afterEach(() => expect(errors.mock.calls).toEqual([]));

test('the checker finds what is wrong', async () => {
  expect(
    await complaintsAbout(
      <ul>
        <div>Not an item</div>
      </ul>,
    ),
  ).not.toEqual([]);
});

const forms: readonly NarrowForm[] = ['panel', 'screen', 'strip', 'more'];

test.each(forms)('a page with a bar that becomes a %s is HTML as the standard has it', async (whenNarrow) => {
  const html = (
    <Trail site={defineSite(nested)} url="/hides/reedbed">
      <SkipLink />
      <Layout
        notice={<Notice name="flood">The causeway floods at noon.</Notice>}
        bar={<Navbar whenNarrow={whenNarrow} end={<button type="button">Sign in</button>} />}
        footer={<FooterNav menu="main" foot="2026" />}
      >
        <Breadcrumbs />
        <main id="main">Page</main>
      </Layout>
    </Trail>
  );
  expect(await complaintsAbout(html)).toEqual([]);
});

test('a page with a sidebar, tabs and breadcrumbs is HTML as the standard has it', async () => {
  const records = { sessions: [{ params: { day: 'a > b "c"' }, label: 'Session' }] };
  const tabs = [
    { id: 'over view', label: 'Overview' },
    { id: 'sounds', label: 'Sounds', disabled: true },
  ];
  const html = (
    <Trail site={defineSite(desk)} url="/nets/reedbed/east?annex=autumn" records={records}>
      <Layout
        sidebar={<Sidebar menu="desk" search rail annex={['autumn']} markers={{ rota: '#b5482a' }} foot="Signed in" />}
      >
        <Breadcrumbs siblings separator="→" fold="always" keepLast={1} />
        <TabLinks menu="desk" label="Beside each other" />
        <main id="main">
          <Tabs tabs={tabs} label="Curlew">
            <Tablist />
            <Tabpanel id="over view">One</Tabpanel>
            <Tabpanel id="sounds">Two</Tabpanel>
          </Tabs>
        </main>
      </Layout>
    </Trail>
  );
  expect(await complaintsAbout(html)).toEqual([]);
});

test('structured data is HTML as the standard has it', async () => {
  const html = (
    <Trail site={defineSite(deep)} url="/log/seasons">
      <Breadcrumbs structuredData />
    </Trail>
  );
  expect(await complaintsAbout(html)).toEqual([]);
});

test('links to other languages are HTML as the standard has it', async () => {
  const html = (
    <Trail site={defineSite(bilingual)} url="/cy/cuddfannau">
      <LanguageLinks />
    </Trail>
  );
  expect(await complaintsAbout(html)).toEqual([]);
});
