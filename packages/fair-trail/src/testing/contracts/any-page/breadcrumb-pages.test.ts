import { expect, test } from 'vitest';
import { defineSite } from '../../../core/site/define.ts';
import { breadcrumbPages } from './breadcrumb-trail-contract.ts';

const site = defineSite({
  name: 'Marram Point',
  entries: [
    { id: 'today', label: 'Today', href: '/' },
    { id: 'about', label: 'About', href: '/about-us' },
  ],
});

test('the steps of a page are those of the site file, and the home page has none', () => {
  expect(breadcrumbPages(site, ['/', '/about-us'])).toEqual([
    { address: '/', breadcrumbs: [] },
    { address: '/about-us', breadcrumbs: ['Today', 'About'] },
  ]);
});

test('an address that is no longer a page of the site is named', () => {
  expect(() => breadcrumbPages(site, ['/about'])).toThrow(
    'breadcrumbPages: "/about" is not a page of the site. Correct the address in the test, or add the page to the site file.',
  );
});
