import { lazyPage, type StagePages } from 'fair-trail/react';
import HomePage from './home.tsx';

/** The page of each entry of the site file, by its id. */
export const pages = {
  home: HomePage,
  about: lazyPage(() => import('./about.tsx')),
} satisfies StagePages;
