import { useEffect, useMemo, useRef, useState, type ReactNode } from 'react';
import MiniSearch from 'minisearch';
import { usePosition } from 'fair-trail/react';
import { searchOptions } from './search-options.ts';
import { site } from './site.ts';

interface Found {
  readonly id: string;
  readonly title: string;
  readonly page: string;
}

let loading: Promise<MiniSearch> | null = null;

function loadIndex(): Promise<MiniSearch> {
  loading ??= import('virtual:search-index').then(({ default: json }) => MiniSearch.loadJSON(json, searchOptions));
  return loading;
}

const shownResults = 40;

/** Searches all pages, in the browser. The query is in the address. */
export function SearchPage(): ReactNode {
  const position = usePosition();
  const [query, setQuery] = useState(position.params['q'] ?? '');
  const [index, setIndex] = useState<MiniSearch | null>(null);
  const [isFailed, setIsFailed] = useState(false);
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => {
    loadIndex().then(setIndex, () => setIsFailed(true));
  }, []);
  const results = useMemo(
    () => (index && query.trim() ? (index.search(query) as unknown as readonly Found[]) : []),
    [index, query],
  );
  const write = (value: string) => {
    setQuery(value);
    // The address can be sent, and Back leaves the page in one step.
    const url = new URL(location.href);
    if (value) url.searchParams.set('q', value);
    else url.searchParams.delete('q');
    history.replaceState(history.state, '', url);
  };
  return (
    <article className="text">
      <h1>Search</h1>
      <form role="search" onSubmit={(event) => event.preventDefault()}>
        <label htmlFor="search-field">Words to look for</label>
        <input
          ref={field}
          id="search-field"
          className="field"
          type="search"
          name="q"
          value={query}
          autoComplete="off"
          onChange={(event) => write(event.target.value)}
        />
      </form>
      <p role="status">{statusText(query, index !== null, isFailed, results.length)}</p>
      <ol className="results">
        {results.slice(0, shownResults).map(({ id, title, page }) => (
          <li key={id}>
            <a href={`${site.base}${id}`}>{title}</a>
            {page !== title && <span> in {page}</span>}
          </li>
        ))}
      </ol>
      <noscript>
        <p>The search needs a script. The sidebar lists every page.</p>
      </noscript>
    </article>
  );
}

function statusText(query: string, isLoaded: boolean, isFailed: boolean, count: number): string {
  if (isFailed) return 'The index could not be loaded. Reload the page to try again.';
  if (query.trim() === '') return '';
  if (!isLoaded) return 'Loading the index…';
  if (count === 0) return `No section has "${query.trim()}". Try fewer or shorter words.`;
  const shown = count > shownResults ? `, the first ${shownResults} are shown` : '';
  return `${count} ${count === 1 ? 'section' : 'sections'}${shown}`;
}
