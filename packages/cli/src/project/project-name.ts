import { plainLetters } from '../plain-letters.ts';

/** The names of a project, from that of its folder. */
export interface ProjectName {
  /** As people read it: the site's name. */
  readonly label: string;
  /** In file names and as the name of its package. */
  readonly slug: string;
}

/** "marram-point" is the site "Marram Point". A folder whose name no package can have is a `site`. */
export function projectName(folder: string): ProjectName {
  const slug = plainLetters(folder)
    .replace(/[^a-z\d]+/gu, '-')
    .replace(/^-+|-+$/gu, '');
  const words = folder.split(/[\s._-]+/u).filter(Boolean);
  const label = words.map((word) => word.slice(0, 1).toLocaleUpperCase() + word.slice(1)).join(' ');
  return { label: label || 'My site', slug: slug || 'site' };
}
