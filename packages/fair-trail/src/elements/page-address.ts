/**
 * The address of a page, and what follows it. A browser reports Back, Forward and changes of the hash; what scripts do to the
 * address by themselves only where it has the Navigation API; elsewhere it is looked at.
 */

/** The path, query and hash of this window. */
export function addressOfWindow({ location }: Window): string {
  return location.pathname + location.search + location.hash;
}

/** How often the address is looked at where nothing says that a script has changed it, in milliseconds. */
const interval = 200;

/** Calls back when the address has changed. @returns a function that stops listening */
export function followAddress(window: Window, listener: () => void): () => void {
  const navigation = 'navigation' in window ? (window.navigation as EventTarget | undefined) : undefined;
  window.addEventListener('popstate', listener);
  window.addEventListener('hashchange', listener);
  navigation?.addEventListener('currententrychange', listener);
  const stopLooking = navigation ? undefined : lookAtAddress(window, listener);
  return () => {
    window.removeEventListener('popstate', listener);
    window.removeEventListener('hashchange', listener);
    navigation?.removeEventListener('currententrychange', listener);
    stopLooking?.();
  };
}

/**
 * Without the Navigation API nothing says that a script has changed the address: it is looked at after each click, when most
 * routers do it, and now and then. The History API itself is left as it is, since other scripts may have it in hand already.
 */
function lookAtAddress(window: Window, listener: () => void): () => void {
  let last = addressOfWindow(window);
  const look = () => {
    const now = addressOfWindow(window);
    if (now === last) return;
    last = now;
    listener();
  };
  const lookSoon = () => window.setTimeout(look);
  window.addEventListener('click', lookSoon);
  const timer = window.setInterval(look, interval);
  return () => {
    window.removeEventListener('click', lookSoon);
    window.clearInterval(timer);
  };
}

/** Calls back when a page is shown again that the browser had kept as it was left. @returns a function that stops listening */
export function whenRestored(window: Window, listener: () => void): () => void {
  const look = (event: PageTransitionEvent) => {
    if (event.persisted) listener();
  };
  window.addEventListener('pageshow', look);
  return () => window.removeEventListener('pageshow', look);
}

/**
 * Goes to an address. One that differs from the current one in its query or hash alone is the same page, and is not loaded.
 */
export function goTo(window: Window, url: string, replace: boolean): void {
  const target = new URL(url, window.location.href);
  const { pathname, origin } = window.location;
  if (target.pathname === pathname && target.origin === origin) {
    if (replace) window.history.replaceState(window.history.state, '', target);
    else window.history.pushState(null, '', target);
  } else if (replace) window.location.replace(target);
  else window.location.assign(target);
}
