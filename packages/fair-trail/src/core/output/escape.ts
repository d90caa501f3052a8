const entities: Readonly<Record<string, string>> = {
  '&': '&amp;',
  '<': '&lt;',
  '>': '&gt;',
  '"': '&quot;',
  "'": '&#39;',
};

/** Text made safe in HTML and XML, between tags and inside quotes. */
export function escapeMarkup(text: string): string {
  return text.replace(/[&<>"']/gu, (character) => entities[character] ?? '');
}

/**
 * As `escapeMarkup`, without the characters that XML 1.0 (section 2.2) cannot hold in any form. Line breaks and tabs are
 * written as references: in an attribute a parser would make spaces of them (section 3.3.3).
 */
export function escapeXml(text: string): string {
  // eslint-disable-next-line no-control-regex -- finding control characters is the point
  const allowed = text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Surrogate}/gu, '\uFFFD');
  return escapeMarkup(allowed).replace(/[\t\n\r]/gu, (character) => `&#${character.charCodeAt(0)};`);
}
