/** Words of links that change something when they are followed, although no link should. In the languages we know. */
const words =
  /(?:^|[^\p{Letter}])(?:log[\s_-]?out|log[\s_-]?off|sign[\s_-]?out|sign[\s_-]?off|delete|remove|unsubscribe|cancel|abmelden|ausloggen|löschen|déconnexion|supprimer|cerrar[\s_-]sesión|eliminar)(?:$|[^\p{Letter}])/iu;

/** Whether a link looks as if following it did something: such links are left alone. */
export function isHarmful(url: URL, label: string): boolean {
  return words.test(label) || words.test(decoded(url.pathname + url.search).replaceAll(/[/?=&.]/gu, ' '));
}

function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}
