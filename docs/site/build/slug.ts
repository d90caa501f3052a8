/** The id of a heading: the one that hosts of repositories give it, so that a link works there and here. */
export function slugOf(title: string): string {
  return title
    .trim()
    .toLowerCase()
    .replace(/[^\p{Letter}\p{Number}\s_-]/gu, '')
    .replace(/\s/gu, '-');
}
