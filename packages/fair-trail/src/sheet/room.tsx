import { memo, type ReactNode, useCallback, useMemo, useRef, useState } from 'react';
import { flexStyles } from '../core/output/flex-styles.ts';
import type { Entry } from '../core/site/entry.ts';
import type { MenuItem } from '../core/site/menu-item.ts';
import { menuItems } from '../core/site/menus.ts';
import { itemKey } from '../core/view/menu-view.ts';
import { Navbar } from '../react/navbar.tsx';
import { CopyText } from './copy-text.tsx';
import { Frame } from './frame.tsx';
import { measureShares, type Row } from './measure-shares.ts';
import { editedSite, roomPatch, type RoomEdit, type RoomEdits } from './room-edits.ts';
import { useSheet } from './sheet-context.ts';
import { useSheetExtras } from './sheet-extras.ts';
import { SheetTrail } from './surroundings.tsx';
import { drawnSize, WidthHandle } from './whole-page.tsx';

const noEdits: RoomEdits = new Map();

/** A row of the bar whose shares can be tried out: as the arithmetic has them, and as the browser does, side by side. */
export const Room = memo(function Room(): ReactNode {
  const sheet = useSheet();
  const { site, menus, conditions, audience, records, badges, position, icon, brand, end } = sheet;
  const [edits, setEdits] = useState(noEdits);
  const [form, setForm] = useState<'panel' | 'more'>('panel');
  const [row, setRow] = useState<Row | null>(null);

  const edited = useMemo(() => editedSite(site, edits), [site, edits]);
  const shown = edited.site ?? site;
  const items = useMemo(
    () =>
      menuItems(shown, menus.bar, { audience, records, badges, language: position.language }).filter(
        ({ kind }) => kind === 'link' || kind === 'group',
      ),
    [shown, menus.bar, audience, records, badges, position.language],
  );
  const styles = useMemo(() => [flexStyles(shown)], [shown]);
  const list = useRef<HTMLElement | null>(null);
  const measure = useCallback(() => {
    const element = list.current;
    const priorities = new Map(items.map((item) => [keyInRow(item), item.entry?.priority ?? 0]));
    setRow(element?.isConnected === true ? measureShares(element, priorities) : null);
  }, [items]);
  // A row is measured whenever it has another size, and when an item has come into it or gone.
  const watch = useCallback(
    (document: Document) => {
      list.current = document.querySelector<HTMLElement>('.ft-bar-panel > .ft-menu');
      // The bar itself measures first, and draws what it found.
      requestAnimationFrame(() => requestAnimationFrame(measure));
    },
    [measure],
  );
  const { room: editor } = useSheetExtras();
  const change = (entry: Entry, edit: RoomEdit) => {
    if (editor) editor.change(entry.id, edit);
    else setEdits(new Map(edits).set(entry.id, { ...edits.get(entry.id), ...edit }));
  };
  const longest = Math.max(1, ...(row?.shares.flatMap(({ apportioned, measured }) => [apportioned, measured]) ?? []));
  return (
    <>
      <label className="ft-sheet-field">
        <span>When narrow</span>
        <select value={form} onChange={({ target }) => setForm(target.value as 'panel' | 'more')}>
          <option value="panel">panel: all give way to a toggle</option>
          <option value="more">more: those that fit stay, by priority</option>
        </select>
      </label>
      <div className="ft-sheet-drawn" style={drawnSize(conditions)}>
        <Frame title="The bar’s row" name="room" height={110} styles={styles} onReady={watch}>
          <SheetTrail {...sheet} site={shown} onNavigate={sheet.follow}>
            <Navbar
              key={form}
              menu={menus.bar}
              whenNarrow={form}
              justify="start"
              brand={brand}
              end={end}
              {...(icon && { icon })}
            />
          </SheetTrail>
        </Frame>
        <WidthHandle />
      </div>
      {edited.problems.map(({ pointer, message, remedy }) => (
        <p key={`${pointer} ${message}`} className="ft-sheet-fault" role="alert">
          {message} {remedy}
        </p>
      ))}
      {row === null ? (
        <p>At this width the menu stands behind its toggle, and there is no row to share.</p>
      ) : (
        <p>
          The row has {Math.round(row.room)} px. {deviation(row)}
        </p>
      )}
      <div className="ft-sheet-wide" tabIndex={0} role="region" aria-label="Shares of the row">
        <table className="ft-sheet-figures">
          <thead>
            <tr>
              <th scope="col">Item</th>
              <th scope="col">flex</th>
              <th scope="col">priority</th>
              <th scope="col">by arithmetic, px</th>
              <th scope="col">in the browser, px</th>
              {form === 'more' && <th scope="col">stays</th>}
            </tr>
          </thead>
          <tbody>
            {items.map((item) => {
              const share = row?.shares.find(({ key }) => key === keyInRow(item));
              const { entry, label } = item;
              return (
                <tr key={itemKey(item)} data-ft-share={itemKey(item)}>
                  <th scope="row">{label}</th>
                  <td>
                    {entry && (
                      <RoomField
                        label={`flex of ${label}`}
                        value={
                          editor ? editor.valueOf(entry.id, 'flex') : (edits.get(entry.id)?.flex ?? entry.flex ?? '')
                        }
                        placeholder="initial"
                        onChange={(written) => change(entry, { flex: written === '' ? null : written })}
                      />
                    )}
                  </td>
                  <td>
                    {entry && (
                      <RoomField
                        label={`priority of ${label}`}
                        type="number"
                        value={
                          editor
                            ? editor.valueOf(entry.id, 'priority')
                            : String(edits.get(entry.id)?.priority ?? entry.priority)
                        }
                        placeholder="0"
                        onChange={(written) => change(entry, { priority: priorityOf(written) })}
                      />
                    )}
                  </td>
                  <Length pixels={share?.apportioned} longest={longest} />
                  <Length pixels={share?.measured} longest={longest} />
                  {form === 'more' && <td>{share?.stays ? staying(share.stays) : ''}</td>}
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      {edits.size > 0 && (
        <CopyText label="Changes for the site file, as a JSON Patch (RFC 6902)" text={roomPatch(sheet.whole, edits)} />
      )}
    </>
  );
});

interface RoomFieldProps {
  readonly label: string;
  readonly type?: 'text' | 'number';
  readonly value: string;
  readonly placeholder: string;
  readonly onChange: (written: string) => void;
}

/** What is typed stays as it is until the field is left, however late the sheet is drawn. */
function RoomField({ label, type = 'text', value, placeholder, onChange }: RoomFieldProps): ReactNode {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <input
      aria-label={label}
      type={type}
      value={typed ?? value}
      placeholder={placeholder}
      size={8}
      spellCheck={false}
      onChange={({ target }) => {
        setTyped(target.value);
        onChange(target.value);
      }}
      onBlur={() => setTyped(null)}
    />
  );
}

function keyInRow(item: MenuItem): string {
  return item.items.length > 0 ? itemKey(item) : (item.href ?? '');
}

function priorityOf(written: string): number | null {
  const number = Number(written);
  return written === '' || !Number.isFinite(number) || number === 0 ? null : number;
}

function staying({ fitted, measured }: { readonly fitted: boolean; readonly measured: boolean }): string {
  if (fitted !== measured) return fitted ? 'should, and does not' : 'does, and should not';
  return fitted ? 'yes' : 'no';
}

/** Browsers lay out in steps of a fraction of a pixel. */
const closeEnough = 0.1;

function deviation({ shares }: Row): string {
  if (shares.some(({ stays }) => stays)) return '';
  const most = Math.max(0, ...shares.map(({ apportioned, measured }) => Math.abs(apportioned - measured)));
  return most <= closeEnough
    ? 'The arithmetic and the browser agree.'
    : `The arithmetic and the browser differ by up to ${most.toFixed(1)} px.`;
}

function Length({ pixels, longest }: { readonly pixels: number | undefined; readonly longest: number }): ReactNode {
  if (pixels === undefined) return <td>–</td>;
  return (
    <td className="ft-sheet-length">
      <span>{pixels.toFixed(1)}</span>
      <svg viewBox="0 0 100 8" preserveAspectRatio="none" aria-hidden="true">
        <rect width={(pixels / longest) * 100} height="8" />
      </svg>
    </td>
  );
}
