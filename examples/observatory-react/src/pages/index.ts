import type { Page } from 'fair-trail/react';
import { AboutPage, SupportPage, WardensPage } from './about.tsx';
import { HidePage, HidesPage } from './hides.tsx';
import { AutumnPage, LogPage, RecoveriesPage, SessionsPage } from './log.tsx';
import { SpeciesListPage, SpeciesPage } from './species.tsx';
import { TidesPage } from './tides.tsx';
import { TodayPage } from './today.tsx';
import { AccessPage, BookPage, CrossingPage, GettingHerePage, VisitPage, WalksPage } from './visit.tsx';

/** The page of each entry of the site file, by its id. */
export const pages: Readonly<Record<string, Page>> = {
  today: TodayPage,
  hides: HidesPage,
  'causeway-hide': HidePage,
  'saltmarsh-hide': HidePage,
  'reedbed-hide': HidePage,
  'lantern-room': HidePage,
  species: SpeciesListPage,
  'species-page': SpeciesPage,
  log: LogPage,
  'log-sessions': SessionsPage,
  'log-autumn': AutumnPage,
  'log-recoveries': RecoveriesPage,
  tides: TidesPage,
  visit: VisitPage,
  'getting-here': GettingHerePage,
  crossing: CrossingPage,
  access: AccessPage,
  walks: WalksPage,
  book: BookPage,
  about: AboutPage,
  wardens: WardensPage,
  support: SupportPage,
};
