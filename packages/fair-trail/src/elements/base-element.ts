/** A server has no elements, and may load this module all the same. */
export const BaseElement: typeof HTMLElement =
  typeof HTMLElement === 'undefined' ? (Object as unknown as typeof HTMLElement) : HTMLElement;
