import { expect, test, vi } from 'vitest';
import { page } from 'vitest/browser';
import { memoryHistory } from '../core/router/memory-history.ts';
import { defineSite } from '../core/site/define.ts';
import { Stage } from './stage.tsx';
import { TrailAt } from './trail-at.tsx';
import { Trail } from './trail.tsx';
import { mount } from './mount.samples.tsx';

/** What a stage shows without the page, without a stage in the layout, or to a visitor who may not see the page. */

const site = defineSite({
  name: 'Marram Point',
  audiences: ['ringer'],
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    { id: 'visit', label: 'Visit', href: '/visit', entries: [{ id: 'book', label: 'Book', href: '/visit/book' }] },
    { id: 'desk', label: 'Data desk', href: '/desk', audience: ['ringer'] },
  ],
});

const Desk = () => (
  <>
    <h1>Data desk</h1>
    <button type="button">Enter a ring</button>
  </>
);

test.each(['our own router', 'another router'])(
  'the audience loses the page that has focus: it goes to the new heading, and back as well (%s)',
  async (router) => {
    const history = memoryHistory('/desk');
    const stage = <Stage pages={{ desk: Desk }} />;
    const app = (audience: readonly 'ringer'[] | 'unknown') =>
      router === 'our own router' ? (
        <Trail site={site} history={history} audience={audience}>
          {stage}
        </Trail>
      ) : (
        <TrailAt site={site} url="/desk" audience={audience}>
          {stage}
        </TrailAt>
      );
    const { render } = mount(app('unknown'));
    render(app(['ringer']));
    // Whoever comes to a page by themselves is not taken anywhere in it.
    await expect.element(page.getByRole('heading', { name: 'Data desk' })).toBeVisible();
    expect(document.activeElement).toBe(document.body);
    page.getByRole('button', { name: 'Enter a ring' }).element().focus();
    render(app([]));
    const refusal = page.getByRole('heading', { name: 'This page is not open to you' });
    await expect.element(page.getByRole('heading').first()).toHaveFocus();
    expect(page.getByRole('heading').first().element().textContent).not.toBe('Data desk');
    await expect.element(refusal).toBeInTheDocument();
    render(app(['ringer']));
    await expect.element(page.getByRole('heading', { name: 'Data desk' })).toHaveFocus();
  },
);

test('a page of the site that is not in the stage is shown under its own name, as the title says', async () => {
  mount(
    <Trail site={site} history={memoryHistory('/visit')}>
      <Stage pages={{ today: () => <h1>Today</h1> }} />
    </Trail>,
  );
  await expect.element(page.getByRole('heading', { name: 'Visit' })).toBeVisible();
  expect(document.title).toBe('Visit · Marram Point');
});

test('a layout that shows no stage is reported by the name of its entry, and one with a stage is not', async () => {
  const onWarning = vi.fn();
  const app = (hasStage: boolean) => (
    <Trail site={defineSite(site.definition)} history={memoryHistory('/visit/book')} onWarning={onWarning}>
      <Stage
        pages={{ book: () => <h1>Book</h1> }}
        layouts={{ visit: () => <div className="visit">{hasStage ? <Stage /> : 'Nothing'}</div> }}
      />
    </Trail>
  );
  const { unmount } = mount(app(true));
  await expect.element(page.getByRole('heading', { name: 'Book' })).toBeVisible();
  unmount();
  mount(app(false));
  await expect.poll(() => onWarning.mock.calls.length, { timeout: 5000 }).toBe(1);
  expect(onWarning.mock.calls[0]?.[0]).toMatchObject({
    code: 'layout-without-stage',
    message: expect.stringContaining('"visit"') as string,
  });
});
