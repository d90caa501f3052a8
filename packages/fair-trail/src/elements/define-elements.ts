/** Defines elements, where there is a document. A page may load two copies of the library: the first one is at work. */
export function defineElements(elements: Readonly<Record<string, CustomElementConstructor>>): void {
  if (typeof customElements === 'undefined') return;
  for (const [name, element] of Object.entries(elements)) {
    if (!customElements.get(name)) customElements.define(name, element);
  }
}
