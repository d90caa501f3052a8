import { StrictMode, type ReactNode } from 'react';
import { describe, expect, test, vi } from 'vitest';
import { page } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import type { Warning } from '../core/warnings.ts';
import { bindSite } from './bind-site.tsx';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { useCurrentEntry as useEntry } from './current-entry.ts';
import { FooterNav } from './footer-nav.tsx';
import { Layout } from './layout.tsx';
import { Navbar } from './navbar.tsx';
import { Sidebar } from './sidebar.tsx';
import { Stage } from './stage.tsx';
import { TabLinks } from './tab-links.tsx';
import { TrailLink } from './trail-link.tsx';
import { Trail } from './trail.tsx';
import { EchoPage, mount } from './mount.samples.tsx';

/** Names that the site does not have: nothing throws, and a development build says what is meant. */

const site = () =>
  defineSite({
    name: 'Marram',
    audiences: ['ringer', 'staff'],
    entries: [
      { id: 'today', label: 'Today', href: '/', icon: 'sun' },
      { id: 'hides', label: 'Hides', href: '/hides', icon: 'binoculars', currentIcon: 'eyes' },
      { id: 'bird', label: 'Bird {slug}', href: '/birds/:slug', records: 'birds' },
    ],
    menus: { main: ['today', 'hides'], footer: ['today', { action: 'sign-out', label: 'Sign out' }] },
  });

interface AppProps {
  readonly onWarning: (warning: Warning) => void;
  readonly children: ReactNode;
}

function App({ onWarning, children }: AppProps): ReactNode {
  return (
    <StrictMode>
      <Trail site={site()} url="/" onWarning={onWarning}>
        {children}
        <h1>Content</h1>
      </Trail>
    </StrictMode>
  );
}

const cases: readonly [name: string, content: ReactNode, code: string, ...texts: string[]][] = [
  [
    'a menu of a bar',
    <Navbar menu="mian" />,
    'menu-unknown',
    'Navbar, property "menu": "mian"',
    'Did you mean "main"?',
  ],
  ['a menu of a sidebar', <Sidebar menu="desk" />, 'menu-unknown', 'Sidebar', 'There are: main, footer.'],
  ['a menu of a footer', <FooterNav menu="foter" />, 'menu-unknown', 'FooterNav', 'Did you mean "footer"?'],
  ['a menu of tab links', <TabLinks menu="x" label="x" />, 'menu-unknown', 'TabLinks', 'There are: main, footer.'],
  [
    'a page',
    <Stage pages={{ hidse: EchoPage }} />,
    'entry-unknown',
    'Stage, property "pages"',
    'Did you mean "hides"?',
  ],
  ['a layout', <Stage layouts={{ todya: () => null }} />, 'entry-unknown', 'Stage, property "layouts"', '"today"'],
  ['a panel', <Navbar panels={{ tody: 'rich' }} />, 'entry-unknown', 'Navbar, property "panels"', '"today"'],
  ['a held panel', <Navbar held="tody" />, 'entry-unknown', 'Navbar, property "held"', '"today"'],
  ['an annex', <Sidebar annex={['hide']} />, 'entry-unknown', 'Sidebar, property "annex"', '"hides"'],
  ['a marker', <Sidebar markers={{ 'brd/x': 'red' }} />, 'entry-unknown', 'Sidebar, property "markers"', '"bird"'],
  ['a link', <TrailLink entry="tday">Go</TrailLink>, 'entry-unknown', 'TrailLink, property "entry"', '"today"'],
  ['params that are missing', <TrailLink entry="bird" />, 'link-without-address', '"bird"', 'Give "params"'],
  ['an icon', <Navbar icon={(name) => name === 'sun' && <i />} />, 'icon-unknown', '"binoculars"', 'drawing'],
];

test.each(cases)('%s', async (_, content, code, ...texts) => {
  const onWarning = vi.fn<(warning: Warning) => void>();
  mount(<App onWarning={onWarning}>{content}</App>);
  await expect.element(page.getByRole('heading', { name: 'Content' })).toBeVisible();
  await expect.poll(() => onWarning.mock.calls.length).toBeGreaterThan(0);
  const [warning] = onWarning.mock.calls[0] ?? [];
  expect(warning?.code).toBe(code);
  for (const text of texts) expect(`${warning?.message} ${warning?.remedy}`).toContain(text);
});

test('of a Trail: an audience, a badge, records', async () => {
  const onWarning = vi.fn<(warning: Warning) => void>();
  mount(
    <Trail
      site={site()}
      url="/"
      audience={['ringr']}
      badges={{ hidse: '3' }}
      records={{ brids: [] }}
      onWarning={onWarning}
    >
      <h1>Content</h1>
    </Trail>,
  );
  await expect.element(page.getByRole('heading', { name: 'Content' })).toBeVisible();
  const reported = onWarning.mock.calls.map(([{ code, remedy }]) => [code, /"(\w+)"/u.exec(remedy)?.[1]]);
  expect(reported).toEqual([
    ['audience-unknown', 'ringer'],
    ['records-unknown', 'birds'],
    ['entry-unknown', 'hides'],
  ]);
});

test('one that is drawn again is reported once', async () => {
  const onWarning = vi.fn<(warning: Warning) => void>();
  const fixed = site();
  const app = (count: number) => (
    <Trail site={fixed} url="/" onWarning={onWarning}>
      <Navbar menu="mian" />
      <h1>Content {count}</h1>
    </Trail>
  );
  const { render } = mount(app(1));
  await expect.element(page.getByRole('heading', { name: 'Content 1' })).toBeVisible();
  render(app(2));
  await expect.element(page.getByRole('heading', { name: 'Content 2' })).toBeVisible();
  expect(onWarning).toHaveBeenCalledTimes(1);
});

test('an audience that a site lists nowhere is the app’s own affair, unless it is like one that is used', async () => {
  const loose = defineSite({
    name: 'x',
    entries: [{ id: 'log', label: 'Log', href: '/', audience: ['ringer'] }],
  });
  const onWarning = vi.fn<(warning: Warning) => void>();
  const app = (audience: readonly string[]) => (
    <Trail site={loose} url="/" audience={audience} onWarning={onWarning}>
      <h1>For {audience.join(' ')}</h1>
    </Trail>
  );
  const { render } = mount(app(['administrator']));
  await expect.element(page.getByRole('heading', { name: 'For administrator' })).toBeVisible();
  expect(onWarning).not.toHaveBeenCalled();
  render(app(['ringers']));
  await expect.poll(() => onWarning.mock.calls.length).toBe(1);
});

test('a link that leads nowhere is read as a disabled link, with its content or the id', async () => {
  mount(
    <App onWarning={() => undefined}>
      <TrailLink entry="nowhere">Somewhere</TrailLink>
      <TrailLink entry="elsewhere" />
    </App>,
  );
  const link = page.getByRole('link', { name: 'Somewhere' });
  await expect.element(link).toHaveAttribute('aria-disabled', 'true');
  await expect.element(link).not.toHaveAttribute('href');
  await expect.element(page.getByRole('link', { name: 'elsewhere' })).toBeVisible();
});

test('an action without a handler is reported', async () => {
  const onWarning = vi.fn<(warning: Warning) => void>();
  mount(
    <App onWarning={onWarning}>
      <FooterNav />
    </App>,
  );
  await page.getByRole('button', { name: 'Sign out' }).click();
  expect(onWarning.mock.calls.map(([{ code, message }]) => [code, message])).toEqual([
    ['action-without-handler', '"sign-out" is an action of a menu, and the Trail has no handler for actions.'],
  ]);
});

describe('a layout', () => {
  const layoutWarnings = async (content: ReactNode) => {
    const onWarning = vi.fn<(warning: Warning) => void>();
    mount(<App onWarning={onWarning}>{content}</App>);
    await expect.element(page.getByRole('heading', { name: 'Content' })).toBeVisible();
    return onWarning.mock.calls.map(([{ code }]) => code);
  };

  test('without main content is reported', async () => {
    expect(new Set(await layoutWarnings(<Layout>Text</Layout>))).toEqual(new Set(['layout-without-content']));
  });

  test('within the layouts of a stage has the main content around it', async () => {
    const Inner = () => (
      <Layout bar={<p>Bar</p>}>
        <Stage />
      </Layout>
    );
    const stage = <Stage layouts={{ today: Inner }} pages={{ today: EchoPage }} />;
    expect(await layoutWarnings(stage)).toEqual([]);
  });
});

test('bound to a site, names are checked by the compiler and components are the same', async () => {
  const bound = bindSite(site(), { Trail, Navbar, Sidebar, FooterNav, TabLinks, Stage, TrailLink });
  const onAction = vi.fn<(action: 'sign-out') => void>();
  const right = (
    <bound.Trail url="/birds/curlew" audience={['ringer']} onAction={onAction} records={{ birds: [] }}>
      <bound.Navbar held="hides" icon={(name) => <i data-icon={name} />} />
      <bound.FooterNav />
      <bound.TrailLink entry="bird" params={{ slug: 'avocet' }} />
      <bound.TrailLink entry="today" />
      <Breadcrumbs />
      <bound.Stage pages={{ hides: EchoPage }} />
    </bound.Trail>
  );
  const wrong = () => [
    // @ts-expect-error -- no such audience
    <bound.Trail audience={['ringr']} key="1" />,
    // @ts-expect-error -- no such menu
    <bound.Navbar menu="mian" key="2" />,
    // @ts-expect-error -- no such entry
    <bound.Stage pages={{ hidse: EchoPage }} key="3" />,
    // @ts-expect-error -- the address needs a param
    <bound.TrailLink entry="bird" key="4" />,
    // @ts-expect-error -- the param has another name
    <bound.TrailLink entry="bird" params={{ slog: 'x' }} key="5" />,
    // @ts-expect-error -- no such entry
    <bound.TrailLink entry="birds" key="6" />,
    // @ts-expect-error -- no such records
    <bound.Trail records={{ brids: [] }} key="7" />,
    // @ts-expect-error -- no such annex
    <bound.Sidebar annex={['hide']} key="8" />,
    // @ts-expect-error -- no such icon
    <bound.Navbar icon={(name: 'moon') => <i data-icon={name} />} key="9" />,
    // @ts-expect-error -- the site has no menu of that name
    <bound.TabLinks menu="hides" label="x" key="10" />,
  ];
  expect(wrong).toBeInstanceOf(Function);
  mount(right);
  await expect.element(page.getByRole('link', { name: 'Bird avocet' })).toHaveAttribute('href', '/birds/avocet');
  await page.getByRole('button', { name: 'Sign out' }).click();
  expect(onAction.mock.calls).toEqual([['sign-out']]);
});

test('the entry of the page, its label, params and record', async () => {
  const { Trail: BoundTrail, useCurrentEntry } = bindSite(site(), { Trail, useCurrentEntry: useEntry });
  function Bird(): ReactNode {
    const bird = useCurrentEntry('bird');
    const slug: string | undefined = bird?.params.slug;
    return (
      <h1>
        {bird?.label} ({slug}, {bird?.record?.label ?? 'no record'}, {useCurrentEntry()?.entry.id ?? 'nothing'})
      </h1>
    );
  }
  const records = { birds: [{ params: { slug: 'curlew' }, label: 'Curlew' }] };
  const app = (url: string) => (
    <BoundTrail url={url} records={records}>
      <Bird />
    </BoundTrail>
  );
  const { render } = mount(app('/birds/curlew'));
  const heading = page.getByRole('heading');
  await expect.element(heading).toHaveTextContent('Curlew (curlew, Curlew, bird)');
  render(app('/birds/b%C3%A9casse'));
  await expect.element(heading).toHaveTextContent('Bird bécasse (bécasse, no record, bird)');
  render(app('/birds/curlew/eggs'));
  await expect.element(heading).toHaveTextContent('Curlew (curlew, Curlew, nothing)');
  render(app('/nowhere'));
  await expect.element(heading).toHaveTextContent('(, no record, nothing)');
});
