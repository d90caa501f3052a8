import { lazyPage, type StagePages } from 'fair-trail/vue';
import HomePage from './home.vue';

/** The page of each entry of the site file, by its id. */
export const pages = {
  home: HomePage,
  about: lazyPage(() => import('./about.vue')),
} satisfies StagePages;
