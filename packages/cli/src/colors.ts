import { isatty } from 'node:tty';
import picocolors from 'picocolors';
import type { Colors } from 'picocolors/types.js';

/**
 * The colors for what is written to a stream. Only a terminal gets any, unless `FORCE_COLOR` asks for them; the
 * package's own guess would also color a file written by a build server, or on Windows.
 */
function colorsOn({ fd }: { readonly fd: number }): Colors {
  const { FORCE_COLOR: forced, NO_COLOR: refused, TERM: terminal } = process.env;
  if (forced) return picocolors.createColors(forced !== '0' && forced !== 'false');
  return picocolors.createColors(isatty(fd) && !refused && terminal !== 'dumb');
}

export const outputColors = colorsOn(process.stdout);
export const errorColors = colorsOn(process.stderr);
