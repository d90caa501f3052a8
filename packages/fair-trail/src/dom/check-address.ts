/** More than any server takes. In UTF-16 code units. */
import type { WarningCode } from '../core/warning-codes.ts';
export const longestAddress = 65_536;

/** An address of this website, as path, query and hash; or why the text is none that can be gone to. */
export type CheckedAddress = { readonly address: string } | { readonly code: WarningCode; readonly cause?: unknown };

/**
 * Reads a URL reference that may come from anyone.
 *
 * @param current the address that it is resolved against
 */
export function checkAddress(reference: string, location: Location, current: string): CheckedAddress {
  if (reference.length > longestAddress) return { code: 'address-too-long' };
  const { origin, protocol } = location;
  let url: URL;
  try {
    // Beginning with the origin, so that the current address is never taken for a host.
    url = new URL(reference, origin === 'null' ? location.href : origin + current);
  } catch (cause) {
    return { code: 'address-unreadable', cause };
  }
  if (url.protocol !== protocol && !/^https?:$/u.test(url.protocol)) return { code: 'address-unsafe' };
  if (url.origin !== origin) return { code: 'address-elsewhere' };
  return { address: url.pathname + url.search + url.hash };
}
