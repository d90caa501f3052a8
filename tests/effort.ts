/** How many times a property is tried: few in `npm test`, many in `npm run soak`. */
export function effort(short: number, long: number): number {
  return process.env['SOAK'] === undefined ? short : long;
}
