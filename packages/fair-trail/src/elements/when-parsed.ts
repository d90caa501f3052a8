/** Calls back once all of an element has been read: what is written into it comes after its start tag. */
export function whenParsed(element: Element, act: () => void): void {
  const { ownerDocument: document, parentNode } = element;
  const isParsed = () => document.readyState !== 'loading' || element.nextSibling !== null;
  if (isParsed() || !parentNode) {
    act();
    return;
  }
  // As soon as what comes after it begins, and so before it is painted, if the browser is quick.
  const observer = new MutationObserver(() => {
    if (isParsed()) end();
  });
  const end = () => {
    observer.disconnect();
    document.removeEventListener('DOMContentLoaded', end);
    act();
  };
  observer.observe(parentNode, { childList: true });
  document.addEventListener('DOMContentLoaded', end);
}
