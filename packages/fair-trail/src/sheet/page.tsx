import { createRoot } from 'react-dom/client';
import { checkSite } from '../core/site/define.ts';
import { ProblemList } from './problem-list.tsx';
import type { SheetData } from './sheet-data.ts';
import { SheetExtrasContext, type SheetExtras } from './sheet-extras.ts';
import { iconsOf } from './sheet-icons.tsx';
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
  const shared = { records: data.records, menus: data.menus, ...(icons !== null && { icon: iconsOf(icons) }) };
  root.render(
    <SheetExtrasContext.Provider value={extrasOf(data, shared)}>
      <Sheet
        {...shared}
        site={site}
        themes={data.themes}
        styles={data.styles}
        problems={data.problems}
        names={data.names}
      />
    </SheetExtrasContext.Provider>,
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

function extrasOf({ compared }: SheetData, shared: object): SheetExtras {
  const before = compared ? checkSite(compared.definition).site : null;
  if (!compared || !before) return {};
  const { themes, styles, names, changes } = compared;
  return { compared: { source: { ...shared, site: before, themes, styles }, names, changes } };
}
