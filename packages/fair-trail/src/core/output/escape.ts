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

/** As `escapeMarkup`, without the characters that XML 1.0 (section 2.2) cannot hold in any form. */
export function escapeXml(text: string): string {
  // eslint-disable-next-line no-control-regex -- finding control characters is the point
  return escapeMarkup(text.replace(/[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]|\p{Surrogate}/gu, '\uFFFD'));
}
