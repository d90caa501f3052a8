/** One more step of a JSON Pointer, escaped as RFC 6901 section 3 asks: `~` before `/`. */
export function pointerTo(parent: string, step: string | number): string {
  return `${parent}/${String(step).replaceAll('~', '~0').replaceAll('/', '~1')}`;
}
