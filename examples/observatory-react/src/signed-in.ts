import { useCallback, useEffect, useState } from 'react';

const key = 'observatory-signed-in';

/** Whether the visitor has signed in; null while that is not known, as in what is rendered before scripts run. */
export function useSignedIn(): readonly [signedIn: boolean | null, change: (signedIn: boolean) => void] {
  const [signedIn, setSignedIn] = useState<boolean | null>(null);
  // What the browser keeps can be known only once the page is in it.
  useEffect(() => setSignedIn(read()), []);
  const change = useCallback((next: boolean) => {
    setSignedIn(next);
    store(next);
  }, []);
  return [signedIn, change];
}

function read(): boolean {
  try {
    return localStorage.getItem(key) === 'yes';
  } catch {
    return false; // Storage is refused: every visit begins signed out.
  }
}

function store(signedIn: boolean): void {
  try {
    localStorage.setItem(key, signedIn ? 'yes' : 'no');
  } catch {
    // Then it lasts until the page is left.
  }
}
