// Runs in the head, so that the page is painted once, in the scheme that the reader has chosen.
try {
  const scheme = localStorage.getItem('documentation-scheme');
  if (scheme === 'light' || scheme === 'dark') {
    document.documentElement.dataset.scheme = scheme;
    document.documentElement.dataset.ftScheme = scheme;
  }
} catch {
  // Storage is blocked.
}
