import { lazyPage, type Page, type StagePages } from 'fair-trail/vue';
import TodayPage from './today-page.vue';

const instruments = () => import('./gauge-page.vue');
const pause = (milliseconds: number) => new Promise((resolve) => setTimeout(resolve, milliseconds));

/** The line to the mast drops the first calls. */
let calls = 0;
function callMast(): Promise<{ default: Page }> {
  calls += 1;
  return calls <= 2 ? Promise.reject(new Error('The mast does not answer.')) : import('./mast-page.vue');
}

const hide = lazyPage(() => import('./hide-page.vue'));
const plainDesk = lazyPage(() => import('./plain-desk-page.vue'));
const season = lazyPage(() => import('./season-page.vue'));
const session = lazyPage(() => import('./session-page.vue'));
const round = lazyPage(() => import('./round-page.vue'));

/** The page of each entry of the site file, by its id. */
export const pages: StagePages = {
  today: TodayPage,
  hides: lazyPage(() => import('./hides-page.vue')),
  'causeway-hide': hide,
  'saltmarsh-hide': hide,
  'reedbed-hide': hide,
  'lantern-room': hide,
  species: lazyPage(() => import('./species-list-page.vue')),
  'species-page': lazyPage(() => import('./species-page.vue')),
  log: lazyPage(() => import('./log-page.vue')),
  'log-sessions': lazyPage(() => import('./sessions-page.vue')),
  'log-autumn': lazyPage(() => import('./autumn-page.vue')),
  'log-recoveries': lazyPage(() => import('./recoveries-page.vue')),
  desk: lazyPage(() => import('./desk-page.vue')),
  'desk-check': lazyPage(() => import('./check-page.vue')),
  'desk-rota': lazyPage(() => import('./rota-page.vue')),
  seasons: lazyPage(() => import('./seasons-page.vue')),
  'season-autumn': season,
  'season-autumn-session': session,
  'season-autumn-round': round,
  'season-spring': season,
  'season-spring-session': session,
  'season-spring-round': round,
  'desk-nets': plainDesk,
  'desk-nets-reedbed': plainDesk,
  'desk-nets-reedbed-east': plainDesk,
  'desk-nets-reedbed-west': plainDesk,
  'desk-nets-garden': plainDesk,
  'desk-gauge-check': plainDesk,
  'desk-mast-check': plainDesk,
  'desk-rings': lazyPage(() => import('./rings-page.vue')),
  'desk-permits': plainDesk,
  tides: lazyPage(() => import('./tides-page.vue')),
  'tide-gauge': lazyPage(async () => {
    await pause(1500);
    return instruments();
  }),
  'weather-mast': lazyPage(callMast),
  visit: lazyPage(() => import('./visit-page.vue')),
  'getting-here': lazyPage(() => import('./getting-here-page.vue')),
  crossing: lazyPage(() => import('./crossing-page.vue')),
  access: lazyPage(() => import('./access-page.vue')),
  walks: lazyPage(() => import('./walks-page.vue')),
  book: lazyPage(() => import('./book-page.vue')),
  about: lazyPage(() => import('./about-page.vue')),
  wardens: lazyPage(() => import('./wardens-page.vue')),
  support: lazyPage(() => import('./support-page.vue')),
};
