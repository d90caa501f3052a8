import { expect, test } from 'vitest';
import { defineSite } from './define.ts';
import { languageLinks } from './language-links.ts';
import { locate } from './locate.ts';

const site = defineSite({
  name: 'Marram',
  language: 'en',
  languages: ['cy'],
  home: 'today',
  entries: [
    { id: 'today', label: { en: 'Today', cy: 'Heddiw' }, href: '/' },
    {
      id: 'hide',
      label: '{name}',
      href: { en: '/hides/:name', cy: '/cuddfannau/:name' },
    },
  ],
});

const written = (url: string) =>
  languageLinks(site, locate(site, url)).map(({ label, href, current }) => `${label} ${href}${current ? ' here' : ''}`);

test('the same page in each language, by the name that the language has for itself', () => {
  expect(written('/hides/reed')).toEqual(['English /hides/reed here', 'Cymraeg /cy/cuddfannau/reed']);
  expect(written('/cy/cuddfannau/reed')).toEqual(['English /hides/reed', 'Cymraeg /cy/cuddfannau/reed here']);
});

test('from nowhere it leads to the home pages, and names can be given', () => {
  expect(written('/nowhere')).toEqual(['English / here', 'Cymraeg /cy']);
  expect(languageLinks(site, locate(site, '/'), { cy: 'Welsh' })[1]?.label).toBe('Welsh');
});
