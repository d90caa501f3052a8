import type { Warning } from '../core/warnings.ts';

/** Tells a warning to whoever reads the console. */
export function logWarning({ code, message, remedy, cause }: Warning): void {
  const text = `fair-trail: ${message} ${remedy} [${code}]`;
  if (cause === undefined) console.warn(text);
  else console.warn(text, cause);
}
