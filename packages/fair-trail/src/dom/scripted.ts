/** On the root element while scripts are at work: only then may anything be hidden that a script must bring back. */
export const scriptedAttribute = 'data-ft-scripted';

/** On the document itself, since an app may hold two copies of this module: the early script has its own. */
const counter = Symbol.for('fair-trail.scripted');

type Counting = Document & { [counter]?: number };

/** Says in the document that scripts are at work; the answer takes that back when the last one has gone. */
export function markScripted(document: Counting): () => void {
  document[counter] = (document[counter] ?? 0) + 1;
  document.documentElement.setAttribute(scriptedAttribute, '');
  let isMarked = true;
  return () => {
    if (!isMarked) return;
    isMarked = false;
    document[counter] = (document[counter] ?? 1) - 1;
    if (document[counter] === 0) document.documentElement.removeAttribute(scriptedAttribute);
  };
}
