/**
 * Leads on from an old address where a server knows nothing of the redirect, with the query and the hash that it came with. Keys of the
 * query that the new address has already are not written twice.
 */
const target = new URL(document.currentScript?.dataset['to'] ?? '/', location.href);
const own = new Set(target.searchParams.keys());
for (const [key, value] of new URLSearchParams(location.search)) {
  if (!own.has(key)) target.searchParams.append(key, value);
}
if (location.hash !== '') target.hash = location.hash;
location.replace(target);
