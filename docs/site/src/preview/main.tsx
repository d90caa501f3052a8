import { useEffect, useMemo, type ReactNode } from 'react';
import { createRoot } from 'react-dom/client';
import { defineSite, memoryHistory, type SiteDefinition } from 'fair-trail';
import {
  Breadcrumbs,
  FooterNav,
  Layout,
  Navbar,
  Notice,
  Sidebar,
  SkipLink,
  Tablist,
  Tabpanel,
  Tabs,
  Trail,
  useCurrentEntry,
  useTrail,
} from 'fair-trail/react';
import type { PreviewAnswer, PreviewMessage } from './preview-message.ts';
import './preview.css';

/** The page in the frame of a live example and of the playground: one component, or a whole layout, at an address. */

const tabs = [
  { id: 'overview', label: 'Overview' },
  { id: 'sounds', label: 'Sounds' },
  { id: 'records', label: 'Records' },
];

function Preview({ component, options, definition, url }: PreviewMessage): ReactNode {
  const history = useMemo(() => memoryHistory(url), [url]);
  const site = useMemo(() => defineSite(definition), [definition]);
  return (
    <Trail site={site} history={history} viewTransitions={false}>
      <SkipLink />
      {component === 'all' ? <Everything definition={definition} /> : <One component={component} options={options} />}
    </Trail>
  );
}

function One({ component, options }: Pick<PreviewMessage, 'component' | 'options'>): ReactNode {
  const content = <Content />;
  switch (component) {
    case 'Navbar':
      return <Layout bar={<Navbar {...options} />}>{content}</Layout>;
    case 'Sidebar':
      return <Layout sidebar={<Sidebar menu="desk" icon={() => null} {...options} />}>{content}</Layout>;
    case 'FooterNav':
      return <Layout footer={<FooterNav headingLevel={headingLevel(options['headingLevel'])} />}>{content}</Layout>;
    case 'Notice':
      return (
        <Layout notice={<Notice name="spring-tide">A spring tide covers the causeway from 15:20 today.</Notice>}>
          {content}
        </Layout>
      );
    case 'Tabs':
      return (
        <Content>
          <Tabs tabs={tabs} label="About the curlew" {...options}>
            <Tablist />
            <Tabpanel id="overview">Brown, with a long curved bill.</Tabpanel>
            <Tabpanel id="sounds">A rising, bubbling call.</Tabpanel>
            <Tabpanel id="records">31 ringed in 2026.</Tabpanel>
          </Tabs>
        </Content>
      );
    default:
      return (
        <Layout>
          <Breadcrumbs {...options} />
          {content}
        </Layout>
      );
  }
}

function headingLevel(value: unknown): 2 | 3 | 4 {
  return value === '3' ? 3 : value === '4' ? 4 : 2;
}

/** Bar, sidebar, breadcrumbs and footer of a site file, as far as its menus allow. */
function Everything({ definition }: { readonly definition: SiteDefinition }): ReactNode {
  const menus = Object.keys(definition.menus ?? {});
  const [first = 'main'] = menus;
  const bar = menus.includes('main') ? 'main' : first;
  const aside = menus.find((name) => name !== bar && name !== 'footer') ?? bar;
  return (
    <Layout
      bar={menus.length > 0 && <Navbar menu={bar} />}
      sidebar={menus.length > 0 && <Sidebar menu={aside} label="Contents" search />}
      footer={menus.includes('footer') && <FooterNav />}
    >
      <Breadcrumbs />
      <Content />
    </Layout>
  );
}

function Content({ children }: { readonly children?: ReactNode }): ReactNode {
  const entry = useCurrentEntry();
  const { url } = useTrail();
  useEffect(() => {
    answer({ type: 'preview-at', url });
  }, [url]);
  return (
    <main id="main" className="preview-content" tabIndex={-1}>
      <h1>{entry?.label ?? 'Page not found'}</h1>
      <p>{url}</p>
      {children}
    </main>
  );
}

const answer = (message: PreviewAnswer) => parent.postMessage(message, location.origin);

const container = document.getElementById('preview');
if (container) {
  const root = createRoot(container);
  addEventListener('message', (event: MessageEvent<PreviewMessage>) => {
    if (event.origin !== location.origin || event.source !== parent) return;
    const { data } = event;
    const { dataset } = document.documentElement;
    document.documentElement.dir = data.direction;
    if (data.scheme === 'system') delete dataset['ftScheme'];
    else dataset['ftScheme'] = data.scheme;
    root.render(<Preview {...data} />);
  });
  answer({ type: 'preview-ready' });
}
