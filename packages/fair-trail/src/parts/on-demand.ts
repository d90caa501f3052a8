/**
 * Starts something whose code is loaded only where it is used, so that no one else pays for it. What could not be loaded
 * is reported to the window, as any error of a script is, and what it would have added is missing.
 *
 * @param load imports the code
 * @param start starts it, and returns a function that stops it
 * @returns a function that stops it, or the waiting for it
 */
export function startOnDemand<Module>(load: () => Promise<Module>, start: (module: Module) => () => void): () => void {
  let isWanted = true;
  let stop: (() => void) | null = null;
  load().then(
    (module) => {
      if (isWanted) stop = start(module);
    },
    (error: unknown) => reportError(error),
  );
  return () => {
    isWanted = false;
    stop?.();
  };
}
