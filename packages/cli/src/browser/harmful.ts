import { decodeSegment } from 'fair-trail/internal/core';

/** Words of links that change something when they are followed, although no link should. In the languages we know. */
const words =
  /(?:^|[^\p{Letter}])(?:log[\s_-]?out|log[\s_-]?off|sign[\s_-]?out|sign[\s_-]?off|delete|remove|unsubscribe|cancel|abmelden|ausloggen|löschen|déconnexion|supprimer|cerrar[\s_-]sesión|eliminar)(?:$|[^\p{Letter}])/iu;

/** Whether a link looks as if following it did something: such links are left alone. */
export function isHarmful(url: URL, label = ''): boolean {
  return isHarmfulLabel(label) || words.test(decodeSegment(url.pathname + url.search).replaceAll(/[/?=&.]/gu, ' '));
}

/** Words of buttons that make another visitor of the one who presses: the menus after that are those of somebody else. */
const visitorWords =
  /(?:^|[^\p{Letter}])(?:sign[\s_-]?in|log[\s_-]?in|sign[\s_-]?up|anmelden|einloggen|connexion|se connecter|iniciar sesión)(?:$|[^\p{Letter}])/iu;

export function changesVisitor(label: string): boolean {
  return visitorWords.test(label);
}

/** Whether what is called so looks as if pressing it did something. */
export function isHarmfulLabel(label: string): boolean {
  return words.test(label);
}
