/** Whether this is the developer's own machine, by the page's address. */
export function isDevelopment({ location }: Window): boolean {
  return /^(?:localhost|127\.0\.0\.1|\[::1\])$/u.test(location.hostname);
}
