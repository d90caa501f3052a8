import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { defineSite, type SiteDefinition } from 'fair-trail';
import { TrailLink } from 'fair-trail/react';
import { Sheet, type OwnSpecimens } from 'fair-trail/sheet';
import { Brand } from './brand.tsx';
import { icon } from './icons.tsx';
import { badges, records } from './records.ts';
import definition from '../../observatory/observatory.site.json?raw';
import 'fair-trail/styles/sheet.css';
import '../../observatory/styles/observatory.css';
import '../../observatory/styles/pages.css';
import '../../observatory/styles/form.css';

/** With what it was made of, which a sheet shows and a build leaves out. */
const site = defineSite(JSON.parse(definition) as SiteDefinition, { base: import.meta.env.BASE_URL });

const ofReader = ['rest', 'hover', 'focus', 'pressed'];

/** What the observatory's bar has besides the library's own parts. */
const signs: OwnSpecimens = {
  name: 'signs',
  title: 'The observatory’s own buttons',
  rows: [
    {
      label: 'Book a visit',
      states: ofReader,
      draw: () => (
        <TrailLink entry="book" data-ft-button="primary">
          Book a visit
        </TrailLink>
      ),
    },
    {
      label: 'Sign in',
      states: ofReader,
      draw: () => (
        <button type="button" data-ft-button="plain">
          Sign in
        </button>
      ),
    },
  ],
};

const container = document.getElementById('sheet');
if (!container) throw new Error('The page has no element with the id "sheet".');
createRoot(container).render(
  <StrictMode>
    <Sheet
      site={site}
      records={records}
      badges={badges}
      icon={icon}
      brand={<Brand />}
      end={
        <TrailLink entry="book" data-ft-button="primary">
          Book a visit
        </TrailLink>
      }
      annex={['season-autumn', 'season-spring']}
      own={[signs]}
    />
  </StrictMode>,
);
