import { useMemo, useState, type ReactNode } from 'react';
import { pointerOf, valueAt, type JsonPath } from '../model/json-text.ts';
import {
  addEntry,
  addMenu,
  addMenuItem,
  entryOutline,
  everyNode,
  keepOldAddress,
  listBelow,
  menuNames,
  menuOutline,
  moveNode,
  removeEntry,
  samePath,
  type OutlineNode,
  type OutlinePlace,
} from '../model/site-edits.ts';
import { removeAt } from '../model/json-text.ts';
import { removalOf, type Removal } from '../model/removal.ts';
import { EntryForm } from './entry-form.tsx';
import { Button, ProblemNotes, SelectField, TextField } from './fields.tsx';
import { MenuItemForm } from './menu-item-form.tsx';
import { Outline, placeAfterStep, rowsOf, type OutlineStep } from './outline.tsx';
import { RemovedPage, removalText } from './removed-page.tsx';
import type { WorkbenchModel } from './use-workbench.ts';

export interface SitePanelProps {
  readonly model: WorkbenchModel;
  readonly icon: ((name: string) => ReactNode) | undefined;
  /** The names of the project's own drawings. */
  readonly icons: readonly string[];
}

/** The pages, and the menus that show them. */
export function SitePanel({ model, icon, icons }: SitePanelProps): ReactNode {
  const { session, dispatch, read } = model;
  const { site: text } = session.history.present;
  const [menu, setMenu] = useState('');
  const [query, setQuery] = useState('');
  const [chosen, setChosen] = useState<JsonPath | null>(null);
  const [said, setSaid] = useState('');
  const [removed, setRemoved] = useState<(Removal & { readonly site: string }) | null>(null);
  const menus = useMemo(() => (text === null ? [] : menuNames(text)), [text]);
  const shownMenu = menus.includes(menu) ? menu : '';
  const nodes = useMemo(() => {
    if (text === null) return [];
    return shownMenu === '' ? entryOutline(text) : menuOutline(text, shownMenu);
  }, [text, shownMenu]);
  const rows = useMemo(() => rowsOf(nodes), [nodes]);
  const wrong = useMemo(() => {
    const fatal = read.problems.filter(({ severity }) => severity === 'fatal');
    return new Set(fatal.flatMap(({ pointer }) => nodePointersOf(pointer)));
  }, [read.problems]);
  if (text === null || !read.isSiteJson) {
    return (
      <div className="ft-workbench-body">
        <p>{session.state.site.locked ?? 'The site file is not JSON. Correct it in your editor: this page follows.'}</p>
      </div>
    );
  }
  const row = rows.find(({ node }) => chosen !== null && samePath(node.path, chosen)) ?? null;
  const root: JsonPath = shownMenu === '' ? ['entries'] : ['menus', shownMenu];
  const edit = (next: string, label: string, key?: string) => {
    dispatch({ type: 'edit', texts: { site: next }, label, ...(key !== undefined && { key }) });
  };
  const onMove = (path: JsonPath, place: OutlinePlace) => {
    const moved = moveNode(text, path, place);
    if (moved.text === text) return;
    const label = rows.find(({ node }) => samePath(node.path, path))?.node.label ?? '';
    edit(moved.text, `move ${label}`);
    setChosen(moved.path);
    setSaid(placeText(moved.text, moved.path, label));
  };
  const above = row?.parent ? (rows.find(({ node }) => node === row.parent) ?? null) : null;
  const placeFor = (step: OutlineStep) => (row ? placeAfterStep(row, above, root, step) : null);
  const step = (direction: OutlineStep) => {
    const place = placeFor(direction);
    if (row && place) onMove(row.node.path, place);
  };
  const placeBelow: OutlinePlace = row
    ? { list: row.node.path.slice(0, -1), index: row.index + 1 }
    : { list: root, index: nodes.length };
  const add = (place: OutlinePlace) => {
    const added = addEntry(text, place, 'New page');
    edit(added.text, 'add a page');
    setChosen(added.path);
  };
  const addItem = (item: unknown, what: string) => {
    const list = row?.node.kind === 'group' ? listBelow(row.node) : null;
    const place = list && row ? { list, index: row.node.children.length } : placeBelow;
    const added = addMenuItem(text, place, item);
    edit(added.text, `add ${what} to ${shownMenu}`);
    setChosen(added.path);
  };
  const remove = (node: OutlineNode) => {
    const removal = shownMenu === '' ? removalOf(text, node.path) : null;
    setRemoved(removal && { ...removal, site: removeEntry(text, node.path) });
    if (removal) setSaid(removalText(removal));
    edit(shownMenu === '' ? removeEntry(text, node.path) : removeAt(text, node.path), `remove ${node.label}`);
    const next = rows.filter((other) => other.parent === row?.parent && other.node !== node);
    const neighbor = next[Math.min(row?.index ?? 0, next.length - 1)];
    setChosen(neighbor && neighbor.index < (row?.index ?? 0) ? neighbor.node.path : neighbor ? node.path : null);
  };
  const form = { model, text, icon, icons, onEdit: edit };
  const key = row ? pointerOf(row.node.path) : '';
  const general = read.problems.filter(({ pointer }) => nodePointersOf(pointer).length === 0);
  return (
    <div className="ft-workbench-body">
      <div className="ft-workbench-line">
        <SelectField
          label="Show"
          value={shownMenu}
          choices={[['', 'All pages'], ...menus.map((name) => [name, `Menu: ${name}`] as const)]}
          onChange={(value) => {
            setMenu(value);
            setChosen(null);
            setQuery('');
          }}
        />
        <TextField label="Find" value={query} onChange={setQuery} />
      </div>
      <Outline
        key={shownMenu}
        label={shownMenu === '' ? 'Pages' : `Items of the menu ${shownMenu}`}
        nodes={nodes}
        root={root}
        chosen={chosen}
        query={query}
        wrong={wrong}
        onChoose={setChosen}
        onMove={onMove}
      />
      {nodes.length === 0 && <p>{shownMenu === '' ? 'There is no page yet.' : 'This menu has no item yet.'}</p>}
      <div className="ft-workbench-buttons" role="group" aria-label="Change the outline">
        {shownMenu === '' ? (
          <>
            <Button onClick={() => add(placeBelow)}>Add page</Button>
            <Button
              isDisabled={!row}
              onClick={() => row && add({ list: [...row.node.path, 'entries'], index: row.node.children.length })}
            >
              Add page below
            </Button>
          </>
        ) : (
          <>
            <select
              aria-label="Add a page to this menu"
              value=""
              onChange={({ target }) => target.value !== '' && addItem(target.value, target.value)}
            >
              <option value="">Add a page…</option>
              {rowsOf(entryOutline(text)).map(({ node, level }) => (
                <option key={pointerOf(node.path)} value={node.id ?? ''}>
                  {'\u00A0\u00A0'.repeat(level - 1)}
                  {node.label}
                </option>
              ))}
            </select>
            <Button onClick={() => addItem({ label: 'New group', entries: [] }, 'a group')}>Add group</Button>
            <Button onClick={() => addItem({ divider: true }, 'a divider')}>Add divider</Button>
            <Button onClick={() => addItem({ action: 'new-action', label: 'New action' }, 'an action')}>
              Add action
            </Button>
          </>
        )}
        {(
          [
            ['up', 'Up'],
            ['down', 'Down'],
            ['in', 'Into the one above'],
            ['out', 'Out'],
          ] as const
        ).map(([direction, label]) => (
          <Button key={direction} isDisabled={placeFor(direction) === null} onClick={() => step(direction)}>
            {label}
          </Button>
        ))}
        <Button isDisabled={!row} onClick={() => row && remove(row.node)}>
          Remove
        </Button>
      </div>
      <p className="ft-workbench-hint">
        Drag a row by its handle, or move it with Alt and an arrow key: up, down, into the one above, out.
      </p>
      <p className="ft-visually-hidden" role="status">
        {said}
      </p>
      {/* Until something else is edited: an undone removal needs no advice. */}
      {removed !== null && removed.site === text && (
        <RemovedPage
          removal={removed}
          onKeep={(heir) => {
            const at = [...everyNode(entryOutline(text))].find(({ id }) => id === heir);
            if (!at) return;
            const kept = removed.addresses.reduce((next, address) => keepOldAddress(next, at.path, address), text);
            edit(kept, `keep the addresses of ${removed.label}`);
          }}
        />
      )}
      {row === null && <p>Choose {shownMenu === '' ? 'a page' : 'an item'} to change it.</p>}
      {row !== null &&
        (shownMenu === '' ? (
          <EntryForm key={key} {...form} node={row.node} />
        ) : (
          <MenuItemForm key={key} {...form} node={row.node} />
        ))}
      {shownMenu === '' && <NewMenu text={text} names={menus} onEdit={edit} />}
      {general.length > 0 && (
        <div className="ft-workbench-general">
          <h3>Of the whole site</h3>
          <ProblemNotes problems={general} />
        </div>
      )}
    </div>
  );
}

interface NewMenuProps {
  readonly text: string;
  readonly names: readonly string[];
  readonly onEdit: (text: string, label: string) => void;
}

function NewMenu({ text, names, onEdit }: NewMenuProps): ReactNode {
  const [name, setName] = useState('');
  const isName = /^[a-z][\w.-]*$/iu.test(name);
  const isTaken = names.includes(name);
  return (
    <details className="ft-workbench-more">
      <summary>Add a menu</summary>
      <TextField
        label="Name of the menu"
        value={name}
        onChange={setName}
        hint={
          isTaken ? (
            <p className="ft-workbench-fault">There is a menu of this name. Choose another.</p>
          ) : (
            name !== '' &&
            !isName && <p className="ft-workbench-fault">A name is a letter, then letters, digits, “-”, “_” or “.”.</p>
          )
        }
      />
      <Button
        isDisabled={!isName || isTaken}
        onClick={() => {
          onEdit(addMenu(text, name), `add the menu ${name}`);
          setName('');
        }}
      >
        Add menu
      </Button>
    </details>
  );
}

/** Where something stands now, for those who do not see it move. */
function placeText(text: string, path: JsonPath, label: string): string {
  const list = valueAt(text, path.slice(0, -1));
  const count = Array.isArray(list) ? list.length : 0;
  return `${label}: ${Number(path.at(-1)) + 1} of ${count}, level ${path.filter((step) => typeof step === 'number').length}.`;
}

/** The pointers of the entry or item that a problem is in. */
function nodePointersOf(pointer: string): readonly string[] {
  const match = /^(?:\/entries\/\d+)+|^\/menus\/[^/]+(?:\/(?:entries\/|either\/)?\d+)+/u.exec(pointer);
  return match ? [match[0]] : [];
}
