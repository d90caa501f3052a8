import { memo, type ReactNode } from 'react';
import type { Entry } from '../core/site/entry.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { everyEntry } from '../core/site/site.ts';
import { Frame } from './frame.tsx';
import { useSheet } from './sheet-context.ts';

interface IconUse {
  readonly name: string;
  readonly current: string;
  readonly entries: readonly Entry[];
}

/** Every icon of the site, at rest and current, and what has none where others have. */
export const IconsTable = memo(function IconsTable(): ReactNode {
  const { site, icon, menus, itemsOf } = useSheet();
  const entries = [...everyEntry(site.entries)];
  const uses = new Map<string, IconUse>();
  for (const entry of entries) {
    const name = entry.icon ?? entry.currentIcon;
    if (name === null) continue;
    const current = entry.currentIcon ?? name;
    const key = `${name}\n${current}`;
    uses.set(key, { name, current, entries: [...(uses.get(key)?.entries ?? []), entry] });
  }
  const draw = (name: string) => {
    const drawing = icon?.(name);
    return drawing === undefined || drawing === null || drawing === false ? null : drawing;
  };
  if (uses.size === 0) return <p>No entry of the site has an icon.</p>;
  const missing = [...new Set([...uses.values()].flatMap(({ name, current }) => [name, current]))].filter(
    (name) => draw(name) === null,
  );
  const without = [...new Set(Object.values(menus) as string[])].flatMap((menu) => withoutIcon(itemsOf(menu)));
  return (
    <>
      {without.length > 0 && <p>Without an icon beside others that have one: {[...new Set(without)].join(', ')}.</p>}
      {icon === undefined ? (
        <p>
          The site names {uses.size} icons. This sheet was given no drawings for them: with the component, pass{' '}
          <code>icon</code>; with the command, <code>--icons</code>.
        </p>
      ) : (
        missing.length > 0 && (
          <p className="ft-sheet-fault">
            Not drawn: {missing.join(', ')}. Draw {missing.length === 1 ? 'it' : 'them'}, or change the name in the site
            file.
          </p>
        )
      )}
      <Frame title="Icons" name="icons">
        <div className="ft-sheet-tables">
          <table className="ft-sheet-table ft-sheet-icons">
            <caption>Icons</caption>
            <thead>
              <tr>
                <th scope="col">Name</th>
                <th scope="col">At rest</th>
                <th scope="col">Current</th>
                <th scope="col">Entries</th>
              </tr>
            </thead>
            <tbody>
              {[...uses.values()].map(({ name, current, entries: used }) => (
                <tr key={`${name}/${current}`} data-ft-icon={name}>
                  <th scope="row">{name === current ? name : `${name}, ${current}`}</th>
                  <td>
                    <InLink>{draw(name)}</InLink>
                  </td>
                  <td>
                    <InLink isCurrent>{draw(current)}</InLink>
                  </td>
                  <td>
                    {used
                      .slice(0, 6)
                      .map(({ id }) => id)
                      .join(', ')}
                    {used.length > 6 && ` and ${used.length - 6} more`}
                  </td>
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Frame>
    </>
  );
});

/** An icon as it stands in a link of a menu: of the size and color that it has there. */
function InLink({ isCurrent = false, children }: { readonly isCurrent?: boolean; readonly children: ReactNode }) {
  if (children === null) return <span className="ft-sheet-none">not drawn</span>;
  return (
    <span className="ft-link" {...(isCurrent && { 'aria-current': 'page' })}>
      {children}
    </span>
  );
}

/** The labels of items that have none in a list where others have: there, a gap or a ragged edge is seen. */
function withoutIcon(items: readonly MenuItem[]): readonly string[] {
  const shown = items.filter(({ kind }) => kind === 'link' || kind === 'group');
  const hasSome = shown.some((item) => item.icon !== null);
  return [
    ...shown.filter((item) => hasSome && item.icon === null).map(({ label }) => label),
    ...items.flatMap((item) => withoutIcon(item.items)),
  ];
}
