/** Whether all is tried: in `npm run soak`, and where files are chosen by name. */
export const isWhole = process.env['SOAK'] !== undefined || process.env['CHOSEN'] !== undefined;

/** How much is tried, such as how often a property is: little in `npm test`, much in `npm run soak`. */
export function effort<Amount>(short: Amount, long: Amount): Amount {
  return process.env['SOAK'] === undefined ? short : long;
}

/** Files of tests that `npm test` leaves to `npm run soak`; none where all is tried. */
export function later(...files: readonly string[]): readonly string[] {
  return isWhole ? [] : files;
}
