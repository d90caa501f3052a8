/** How much is tried, such as how often a property is: little in `npm test`, much in `npm run soak`. */
export function effort<Amount>(short: Amount, long: Amount): Amount {
  return process.env['SOAK'] === undefined ? short : long;
}
