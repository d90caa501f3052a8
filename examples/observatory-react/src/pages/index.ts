import { lazyPage, type Page, type StagePages } from 'fair-trail/react';
import { TodayPage } from './today.tsx';

/** Pages that are in one file are loaded together, when the first of them is needed. */
function pageOf<Name extends string>(load: () => Promise<Readonly<Record<Name, Page>>>, name: Name) {
  return lazyPage(async () => (await load())[name]);
}

const about = () => import('./about.tsx');
const desk = () => import('./desk.tsx');
const hides = () => import('./hides.tsx');
const log = () => import('./log.tsx');
const species = () => import('./species.tsx');
const visit = () => import('./visit.tsx');
const instruments = () => import('./instruments.tsx');

const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** The line to the mast drops the first calls. */
let calls = 0;
function callMast(): Promise<typeof import('./instruments.tsx')> {
  calls += 1;
  return calls <= 2 ? Promise.reject(new Error('The mast does not answer.')) : instruments();
}

function seasonPages(id: string): StagePages {
  return {
    [id]: pageOf(desk, 'SeasonPage'),
    [`${id}-session`]: pageOf(desk, 'SessionPage'),
    [`${id}-round`]: pageOf(desk, 'RoundPage'),
  };
}

/** The page of each entry of the site file, by its id. */
export const pages: StagePages = {
  today: TodayPage,
  hides: pageOf(hides, 'HidesPage'),
  'causeway-hide': pageOf(hides, 'HidePage'),
  'saltmarsh-hide': pageOf(hides, 'HidePage'),
  'reedbed-hide': pageOf(hides, 'HidePage'),
  'lantern-room': pageOf(hides, 'HidePage'),
  species: pageOf(species, 'SpeciesListPage'),
  'species-page': pageOf(species, 'SpeciesPage'),
  log: pageOf(log, 'LogPage'),
  'log-sessions': pageOf(log, 'SessionsPage'),
  'log-autumn': pageOf(log, 'AutumnPage'),
  'log-recoveries': pageOf(log, 'RecoveriesPage'),
  desk: pageOf(desk, 'DeskPage'),
  'desk-check': pageOf(desk, 'CheckPage'),
  'desk-rota': pageOf(desk, 'RotaPage'),
  seasons: pageOf(desk, 'SeasonsPage'),
  ...seasonPages('season-autumn'),
  ...seasonPages('season-spring'),
  'desk-nets': pageOf(desk, 'PlainDeskPage'),
  'desk-nets-reedbed': pageOf(desk, 'PlainDeskPage'),
  'desk-nets-reedbed-east': pageOf(desk, 'PlainDeskPage'),
  'desk-nets-reedbed-west': pageOf(desk, 'PlainDeskPage'),
  'desk-nets-garden': pageOf(desk, 'PlainDeskPage'),
  'desk-gauge-check': pageOf(desk, 'PlainDeskPage'),
  'desk-mast-check': pageOf(desk, 'PlainDeskPage'),
  'desk-rings': pageOf(desk, 'RingsPage'),
  'desk-permits': pageOf(desk, 'PlainDeskPage'),
  tides: pageOf(() => import('./tides.tsx'), 'TidesPage'),
  'tide-gauge': pageOf(async () => {
    await pause(1500);
    return instruments();
  }, 'GaugePage'),
  'weather-mast': pageOf(callMast, 'MastPage'),
  visit: pageOf(visit, 'VisitPage'),
  'getting-here': pageOf(visit, 'GettingHerePage'),
  crossing: pageOf(visit, 'CrossingPage'),
  access: pageOf(visit, 'AccessPage'),
  walks: pageOf(visit, 'WalksPage'),
  book: pageOf(() => import('./book.tsx'), 'BookPage'),
  about: pageOf(about, 'AboutPage'),
  wardens: pageOf(about, 'WardensPage'),
  support: pageOf(about, 'SupportPage'),
};
