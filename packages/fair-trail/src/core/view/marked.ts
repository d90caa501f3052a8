/**
 * Selects what is marked, by the values that state a mark: `aria-current="false"` is a value too, which link components of
 * routers write (WAI-ARIA 1.2, section 6.6).
 */
export const markedSelector = ":is([aria-current='page'], [aria-current='true'])";
