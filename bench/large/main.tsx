/** A sidebar of 50 000 entries, flat or in groups, beside one of 2 000, which is drawn as a whole. */
import { createRoot, type Root } from 'react-dom/client';
import { flushSync } from 'react-dom';
import { compileSite, defineSite, loadSite, memoryHistory, type SiteDefinition } from 'fair-trail';
import { Sidebar, Trail } from 'fair-trail/react';
import { container, nextEventTime } from '../compare.tsx';
import 'fair-trail/styles.css';

function definitionOf(groups: number, pages: number): SiteDefinition {
  const pagesOf = (group: string) =>
    Array.from({ length: pages }, (_, page) => ({
      id: `${group}-p${page}`,
      label: `Sheet ${group}.${page} ${page % 2 === 0 ? 'curlew' : 'avocet'}`,
      href: `/${group}/p${page}`,
    }));
  const entries = Array.from({ length: groups }, (_, group) => ({
    id: `g${group}`,
    label: `Drawer ${group}`,
    href: `/g${group}`,
    entries: pagesOf(`g${group}`),
  }));
  return { name: 'B', entries, menus: { main: entries.map(({ id }) => ({ entry: id, depth: 2 })) } };
}

const forms = { flat: definitionOf(1, 49_999), grouped: definitionOf(500, 99), whole: definitionOf(100, 19) };
const compiled = Object.fromEntries(
  Object.entries(forms).map(([name, definition]) => [name, compileSite(defineSite(definition))]),
);

let root: Root | null = null;

/** How long its script runs until it stands in the document, its menu read from the site among it, in milliseconds. */
function open(form: string): number {
  root?.unmount();
  // As an app does once, while it starts: it is no part of what is measured.
  const chosen = compiled[form];
  if (!chosen) throw new Error(`There is no form called ${form}.`);
  const site = loadSite(chosen);
  const begin = performance.now();
  root = createRoot(container);
  flushSync(() =>
    root?.render(
      <Trail site={site} history={memoryHistory('/g0/p1')} eagerness={null} viewTransitions={false} arrival="none">
        <Sidebar search />
      </Trail>,
    ),
  );
  const script = performance.now() - begin;
  // So that the next one does not pay for the layout of this one.
  document.body.getBoundingClientRect();
  return script;
}

Object.assign(globalThis, { open, nextEventTime });
