import path from 'node:path';

/**
 * Pages whose addresses are relative, for Vite's `base: './'`: the folder of a build then works below any base path, and the pages also
 * from a disk, where nothing finds the `index.html` of a folder.
 */

/** Stands in a module of a build for the way from its file to the folder of the build. */
export const rootPlaceholder = '__FAIR_TRAIL_ROOT__';

/** Whether the build is for a base path that only the browser knows. */
export function isRelativeBase(base: string): boolean {
  return base === '' || base === './';
}

/** The way from the folder of a file of the build to the folder of the build, such as `../../`. */
export function wayToRoot(file: string): string {
  return '../'.repeat(file.split('/').length - 1) || './';
}

/** The address of a file of the build or of a page of the site, from another file of the build. */
export function relativeAddress(address: string, file: string): string {
  const [, pathname = '', rest = ''] = /^([^?#]*)(.*)$/su.exec(address) ?? [];
  const within = pathname.replace(/^\.?\//u, '');
  const isFile = path.posix.basename(within).includes('.');
  const target = isFile ? within : path.posix.join(within, 'index.html');
  const relative = path.posix.relative(path.posix.dirname(file), target);
  return `${relative}${rest}`;
}

/** A script as a whole, whose text is no markup, or the start tag of another element. */
const tags = /(<script\b[^<>]*>)([\s\S]*?)(<\/script>)|<[a-z][^<>]*>/giu;
const addresses = /(\s(?:href|src|action|poster|data|data-to)=)"(\.?\/(?!\/)[^"]*)"/giu;

/** A page with its addresses within the site made relative to its own file, and the way to the folder of the build for scripts. */
export function withRelativeAddresses(page: string, file: string): string {
  const inTag = (tag: string) =>
    tag
      .replace(addresses, (_, name: string, address: string) => `${name}"${relativeAddress(address, file)}"`)
      // A page on a disk may load a stylesheet beside it, unless it asks for that as from another origin.
      .replace(/^<link\b[^<>]*\brel="stylesheet"[^<>]*>/u, (link) => link.replace(/\scrossorigin(?:="[^"]*")?/u, ''));
  return page
    .replace(tags, (tag: string, start?: string, content?: string, end?: string) =>
      start === undefined ? inTag(tag) : `${inTag(start)}${content ?? ''}${end ?? ''}`,
    )
    .replace(/<html\b/u, () => `<html data-ft-root="${wayToRoot(file)}"`);
}
