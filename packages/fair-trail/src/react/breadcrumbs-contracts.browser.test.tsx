import { renderToString } from 'react-dom/server';
import { expect, test } from 'vitest';
import { page } from 'vitest/browser';
import { defineSite } from '../core/site/define.ts';
import { scriptedAttribute } from '../dom/scripted.ts';
import { Breadcrumbs } from './breadcrumbs.tsx';
import { Trail } from './trail.tsx';
import {
  breadcrumbsContract,
  type BreadcrumbsRequest,
  type MountBreadcrumbs,
} from '../testing/contracts/components/breadcrumbs.ts';
import { deep } from '../testing/sites.ts';
import { mount } from './mount.samples.tsx';

const site = defineSite(deep);

const app = ({ url, records, ...breadcrumbs }: BreadcrumbsRequest) => (
  <Trail site={site} url={url} {...(records && { records })}>
    <Breadcrumbs {...breadcrumbs} />
    <main>Content</main>
  </Trail>
);

const mountBreadcrumbs: MountBreadcrumbs = (request) => {
  const { render } = mount(app(request));
  return { update: (next) => render(app(next)) };
};

breadcrumbsContract(mountBreadcrumbs);

test('without scripts every step is there, and no dead button', async () => {
  await page.viewport(320, 700);
  document.documentElement.removeAttribute(scriptedAttribute);
  const printed = document.createElement('div');
  printed.innerHTML = renderToString(app({ url: '/log/seasons/autumn/11-oct/2', fold: 'always', siblings: true }));
  document.body.prepend(printed);
  const steps = [...printed.querySelectorAll('li a, li [aria-current]')].filter((step) => !step.closest('.ft-panel'));
  expect(steps.map((step) => [step.textContent, step.checkVisibility()])).toEqual(
    ['Today', 'Ringing log', 'Seasons of the observatory', 'Autumn migration 2026', '11-oct', 'Net round 2'].map(
      (label) => [label, true],
    ),
  );
  expect([...printed.querySelectorAll('button')].some((button) => button.checkVisibility())).toBe(false);
  expect(document.documentElement.scrollWidth).toBe(320);
  printed.remove();
});
