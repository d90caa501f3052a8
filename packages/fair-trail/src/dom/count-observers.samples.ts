/** Counts the observers that are at work, from now on until it is ended. */
export function countObservers(): { readonly watching: () => number; readonly end: () => void } {
  const own = { ResizeObserver, MutationObserver };
  let watching = 0;
  const counted = <Type extends new (...given: never[]) => { disconnect(): void }>(original: Type): Type =>
    class extends (original as new (...given: never[]) => { disconnect(): void }) {
      constructor(...given: never[]) {
        super(...given);
        watching += 1;
      }
      override disconnect(): void {
        watching -= 1;
        super.disconnect();
      }
    } as unknown as Type;
  window.ResizeObserver = counted(own.ResizeObserver);
  window.MutationObserver = counted(own.MutationObserver);
  return { watching: () => watching, end: () => void Object.assign(window, own) };
}
