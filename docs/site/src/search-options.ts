import type { Options } from 'minisearch';

/** How the index of the search is made and read: the same at build time and in the browser. */
export const searchOptions: Options = {
  fields: ['title', 'page', 'text'],
  storeFields: ['title', 'page'],
  searchOptions: { boost: { title: 4, page: 2 }, prefix: true, fuzzy: 0.15, combineWith: 'AND' },
};
