import { renderToString } from 'react-dom/server';
import { expect, test } from 'vitest';
import { page } from 'vitest/browser';
import { memoryKeys } from '../core/interaction/memory-keys.ts';
import { memoryHistory } from '../core/router/memory-history.ts';
import { defineSite } from '../core/site/define.ts';
import { FooterNav } from './footer-nav.tsx';
import { LanguageLinks } from './language-links.tsx';
import { Layout } from './layout.tsx';
import { Navbar } from './navbar.tsx';
import { Notice } from './notice.tsx';
import { SkipLink } from './skip-link.tsx';
import { Stage } from './stage.tsx';
import { Trail } from './trail.tsx';
import {
  footerContract,
  languagesContract,
  layoutContract,
  noticeContract,
  type MountPage,
  type PageRequest,
} from '../testing/contracts/components/page-parts.ts';
import { mount, pagesOf, site } from './mount.samples.tsx';

const mountPage: MountPage = (request) => {
  const history = memoryHistory(request.url);
  const app = ({ definition, notice, bar, sidebar, languages, footer, content, onWarning }: PageRequest) => {
    const shown = defineSite(definition);
    const Short = () => <h1>Today</h1>;
    const pages =
      content === 'long' ? pagesOf(shown) : Object.fromEntries(Object.keys(pagesOf(shown)).map((id) => [id, Short]));
    return (
      <Trail site={shown} history={history} onWarning={({ code }) => onWarning?.(code)}>
        <Layout
          notice={notice && <Notice name={notice.name}>{notice.text}</Notice>}
          bar={bar && <Navbar {...(bar === 'sticky' && { pinned: bar })} />}
          sidebar={sidebar && <p>{sidebar}</p>}
          footer={footer && <FooterNav {...footer} icon={() => <i aria-hidden="true">*</i>} />}
        >
          {languages && <LanguageLinks names={languages} />}
          {content !== 'none' && <Stage pages={pages} />}
        </Layout>
      </Trail>
    );
  };
  const { render, unmount } = mount(app(request));
  return { update: (next) => render(app(next)), unmount };
};

noticeContract(mountPage);
footerContract(mountPage);
languagesContract(mountPage);
layoutContract(mountPage);

test('a notice that was dismissed is not seen between the first drawing and the script', async () => {
  const notice = (name: string) => (
    <Trail site={site} url="/">
      <Notice name={name}>The causeway floods at noon.</Notice>
    </Trail>
  );
  localStorage.setItem(memoryKeys.dismissed, JSON.stringify(['early "one"']));
  await import('../dom/early.ts');
  const printed = document.createElement('div');
  printed.innerHTML = renderToString(notice('early "one"')) + renderToString(notice('other'));
  document.body.prepend(printed);
  const shown = [...printed.querySelectorAll('.ft-notice')].map((element) => element.checkVisibility());
  expect(shown).toEqual([false, true]);
  expect(document.documentElement.hasAttribute('data-ft-scripted')).toBe(true);
  printed.remove();
  document.adoptedStyleSheets = [];
  localStorage.removeItem(memoryKeys.dismissed);
});

test('several skip links each lead to their place, and are seen with focus alone', async () => {
  mount(
    <Trail site={site} url="/">
      <SkipLink targets={[{ id: 'search', label: 'Skip to search' }]} />
      <main id="main">Page</main>
      <input id="search" />
    </Trail>,
  );
  const second = page.getByRole('link', { name: 'Skip to search' });
  await expect.element(page.getByRole('link', { name: 'Skip to content' })).toHaveAttribute('href', '#main');
  await expect.element(second).toHaveAttribute('href', '#search');
  const isSeen = () => second.element().getBoundingClientRect().top >= 0;
  expect(isSeen()).toBe(false);
  (second.element() as HTMLElement).focus();
  await expect.poll(isSeen).toBe(true);
});
