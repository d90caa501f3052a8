import { createRoot } from 'react-dom/client';
import { checkSite } from '../core/site/define.ts';
import { ProblemList } from './problem-list.tsx';
import type { SheetData } from './sheet-data.ts';
import { Sheet } from './sheet.tsx';

declare global {
  interface Window {
    readonly fairTrailSheet?: SheetData;
  }
}

const data = window.fairTrailSheet;
const container = document.getElementById('sheet');
if (!container) throw new Error('The page has no element with the id "sheet".');
const root = createRoot(container);
const site = data ? checkSite(data.definition).site : null;
if (data && site) {
  const { icons } = data;
  root.render(
    <Sheet
      site={site}
      records={data.records}
      menus={data.menus}
      themes={data.themes}
      styles={data.styles}
      problems={data.problems}
      names={data.names}
      {...(icons !== null && { icon: iconsOf(icons) })}
    />,
  );
} else {
  root.render(
    <div className="ft-sheet">
      <main className="ft-sheet-body">
        <h1>State sheet</h1>
        <ProblemList problems={data?.problems ?? []} />
        <p>Fix the site file, and make the sheet again.</p>
      </main>
    </div>,
  );
}

/** Draws the symbols of a sprite. Each drawing is a copy, since a frame sees nothing of the document around it. */
function iconsOf(sprite: string) {
  const symbols = new DOMParser().parseFromString(sprite, 'image/svg+xml').querySelectorAll('symbol[id]');
  const known = new Map([...symbols].map((symbol) => [symbol.id, symbol]));
  return function Icon(name: string) {
    const symbol = known.get(name);
    if (!symbol) return null;
    return (
      <svg
        className="ft-sheet-icon"
        viewBox={symbol.getAttribute('viewBox') ?? '0 0 24 24'}
        aria-hidden="true"
        ref={(element) => {
          element?.replaceChildren(
            ...[...symbol.childNodes].map((node) => element.ownerDocument.importNode(node, true)),
          );
        }}
      />
    );
  };
}
