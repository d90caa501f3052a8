import { memo, type ReactNode, useMemo } from 'react';
import { locate } from '../core/site/locate.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { menuItems } from '../core/site/menus.ts';
import { Navbar } from '../react/navbar.tsx';
import { everyItem, pagesOf } from './every-item.ts';
import { Frame } from './frame.tsx';
import { sample } from './sample.ts';
import { useSheet } from './sheet-context.ts';
import { SheetTrail } from './surroundings.tsx';

/** As many strips as a reader looks through. */
const mostPages = 24;

/** Every page of the bar's menu with the bar as it is there, so that a wrong mark or none is seen at a glance. */
export const PagesTable = memo(function PagesTable({
  onReady,
}: {
  readonly onReady?: (document: Document) => void;
}): ReactNode {
  const sheet = useSheet();
  const { site, menus, itemsOf, audience, records, badges, position } = sheet;
  const { language } = position;
  const pages = useMemo(() => {
    const found = [...pagesOf(itemsOf(menus.bar))].map(([href, label]) => ({ href, label }));
    return sample(found, mostPages, { label: ({ label }) => label, notable: () => false });
  }, [itemsOf, menus.bar]);
  const rows = useMemo(
    () =>
      pages.members.map((page) => {
        const there = { position: locate(site, page.href), audience, records, badges, language };
        return { ...page, marks: marksIn(menuItems(site, menus.bar, there)) };
      }),
    [pages, site, menus.bar, audience, records, badges, language],
  );
  return (
    <>
      {pages.of > rows.length && (
        <p>
          {rows.length} of {pages.of} pages are shown.
        </p>
      )}
      <Frame title="Pages side by side" name="pages" {...(onReady && { onReady })}>
        <ol className="ft-sheet-pages">
          {rows.map(({ href, label, marks }) => (
            <li key={href} data-ft-page={href}>
              <p className="ft-sheet-page-line">
                <b>{label}</b> <code dir="ltr">{href}</code>{' '}
                {marks.length > 0 ? (
                  <span>{marks.join(', ')}</span>
                ) : (
                  <strong className="ft-sheet-fault">Nothing in this menu is marked.</strong>
                )}
              </p>
              <div className="ft-sheet-strip" ref={makeInert} data-ft-density="dense">
                <SheetTrail {...sheet} url={href} onNavigate={sheet.follow}>
                  <Navbar
                    element="div"
                    menu={menus.bar}
                    brand=""
                    whenNarrow="strip"
                    {...(sheet.icon && { icon: sheet.icon })}
                  />
                </SheetTrail>
              </div>
            </li>
          ))}
        </ol>
      </Frame>
    </>
  );
});

/** A strip is a picture: a sheet of them must not be a hundred stops for the keyboard. */
function makeInert(element: HTMLElement | null): void {
  element?.toggleAttribute('inert', true);
}

/** What is marked, outermost first. */
function marksIn(items: readonly MenuItem[]): readonly string[] {
  return [...everyItem(items)]
    .filter(({ mark }) => mark !== null)
    .map(({ label, mark }) => (mark === 'page' ? `${label}: the page` : `${label}: its section`));
}
