/** Letters that are not a plain one with a mark, and how they are written without them. */
const spelledOut: Readonly<Record<string, string>> = {
  ...{ ß: 'ss', æ: 'ae', œ: 'oe', ø: 'o', đ: 'd', ð: 'd', ł: 'l', þ: 'th', ı: 'i', ħ: 'h', ŧ: 't' },
};

/** The text in lower case, and its Latin letters without marks: what ids, file names and names of packages are made of. */
export function plainLetters(text: string): string {
  return text
    .normalize('NFKD')
    .toLowerCase()
    .replace(/\p{Mark}/gu, '')
    .replace(/[ßæœøđðłþıħŧ]/gu, (letter) => spelledOut[letter] ?? letter);
}
