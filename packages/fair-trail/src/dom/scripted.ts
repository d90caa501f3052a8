/** On the root element while scripts are at work: only then may anything be hidden that a script must bring back. */
export const scriptedAttribute = 'data-ft-scripted';

const counts = new WeakMap<Document, number>();

/** Says in the document that scripts are at work; the answer takes that back when the last one has gone. */
export function markScripted(document: Document): () => void {
  counts.set(document, (counts.get(document) ?? 0) + 1);
  document.documentElement.setAttribute(scriptedAttribute, '');
  return () => {
    const left = (counts.get(document) ?? 1) - 1;
    counts.set(document, left);
    if (left === 0) document.documentElement.removeAttribute(scriptedAttribute);
  };
}
