// For the `fair-trail` command and this workspace. It promises nothing: what is here can change in any version.

export { markOf } from './menu.ts';
export type { ItemReading, MenuReading } from '../reading/page-reading.ts';
export { quoted } from './tree.ts';
export { everyItem } from './find.ts';
export { marksOf } from './menu.ts';
export { treeOf } from './tree.ts';
