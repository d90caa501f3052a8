/** The documents whose text size was changed, and what their root element said before. */
const changed = new Map<Document, string>();

/** @param percent of the usual size: the text at 200 percent is a size of 200 */
export function setTextSize(document: Document, percent: number): void {
  const { style } = document.documentElement;
  if (!changed.has(document)) changed.set(document, style.fontSize);
  if (percent === 100) restore(document);
  else style.fontSize = `${percent}%`;
}

/** Gives every document back the text size that it had: what one test asks for is not the next one's. */
export function restoreTextSizes(): void {
  for (const document of changed.keys()) restore(document);
}

function restore(document: Document): void {
  document.documentElement.style.fontSize = changed.get(document) ?? '';
  changed.delete(document);
}
