/** The words of a text, as they are compared: letters and digits, in one case. */
export function wordsOf(text: string): readonly string[] {
  return text
    .normalize('NFKC')
    .toLowerCase()
    .split(/[^\p{Letter}\p{Number}]+/gu)
    .filter(Boolean);
}

/** What toggles of a whole menu are called, in the languages we know. */
const menuName = /^(?:(?:open|close|toggle|show|hide|main|site) )*(?:menu|navigation|nav|menü|menú|pages)\b/iu;

/** Whether something is called as a toggle of a whole menu is. */
export function isMenuName(name: string): boolean {
  return menuName.test(name.trim());
}
