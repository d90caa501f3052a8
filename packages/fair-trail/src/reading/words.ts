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

/** What buttons are called that close something, in the languages we know. */
const closingName = /^(?:close|hide|collapse|schließen|ausblenden|fermer|masquer|cerrar|ocultar)\b/iu;

/** Whether something is called as a button is that closes something. */
export function isClosingName(name: string): boolean {
  return closingName.test(name.trim());
}

/** What skip links are called, in the languages we know. */
const skipName =
  /\b(?:skip|jump) (?:to|over|past|nav)|\bgo to (?:the )?(?:main|content)|^skip\b|zum inhalt|springen|aller au contenu|saltar|ir al contenido/iu;

/** Whether something is called as a link is that skips the navigation. */
export function isSkipName(name: string): boolean {
  return skipName.test(name.trim());
}
