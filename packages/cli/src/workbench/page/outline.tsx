import { useEffect, useMemo, useRef, useState, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { pointerOf, type JsonPath } from '../model/json-text.ts';
import { everyNode, listBelow, samePath, type OutlineNode, type OutlinePlace } from '../model/site-edits.ts';

/** A move by one step, as keys and buttons ask for it. */
export type OutlineStep = 'up' | 'down' | 'in' | 'out';

export interface OutlineProps {
  readonly label: string;
  readonly nodes: readonly OutlineNode[];
  /** The list that the outermost of them are in. */
  readonly root: JsonPath;
  readonly chosen: JsonPath | null;
  readonly query: string;
  /** The places with fatal problems, as JSON Pointers of their nodes. */
  readonly wrong: ReadonlySet<string>;
  readonly onChoose: (path: JsonPath) => void;
  readonly onMove: (path: JsonPath, place: OutlinePlace) => void;
}

interface OutlineRow {
  readonly node: OutlineNode;
  readonly level: number;
  readonly index: number;
  readonly siblings: readonly OutlineNode[];
  readonly parent: OutlineNode | null;
}

/** As many rows as a reader looks through at once. */
const pieceLength = 150;

/** Where a node goes for one step; null if it can go no further. */
export function placeAfterStep(
  { index, siblings, parent, node }: Omit<OutlineRow, 'level'>,
  grandparent: OutlineRow | null,
  root: JsonPath,
  step: OutlineStep,
): OutlinePlace | null {
  const list = node.path.slice(0, -1);
  if (step === 'up') return index > 0 ? { list, index: index - 1 } : null;
  if (step === 'down') return index < siblings.length - 1 ? { list, index: index + 2 } : null;
  if (step === 'in') {
    const before = siblings[index - 1];
    const below = before && listBelow(before);
    return below ? { list: below, index: before.children.length } : null;
  }
  if (!parent || !grandparent) return null;
  return { list: parent.path.length > root.length + 1 ? parent.path.slice(0, -1) : root, index: grandparent.index + 1 };
}

/** The rows of an outline, by the places of their nodes. */
export function rowsOf(nodes: readonly OutlineNode[]): readonly OutlineRow[] {
  const rows: OutlineRow[] = [];
  const visit = (siblings: readonly OutlineNode[], level: number, parent: OutlineNode | null) => {
    siblings.forEach((node, index) => {
      rows.push({ node, level, index, siblings, parent });
      visit(node.children, level + 1, node);
    });
  };
  visit(nodes, 1, null);
  return rows;
}

/** Where a dragged row would go. */
interface DropTarget {
  readonly path: JsonPath;
  readonly side: 'before' | 'after' | 'within';
}

/** Entries or items in their order and nesting, as a tree (WAI-ARIA APG, the tree view pattern). Rows are moved by Alt and arrow keys, or dragged. */
export function Outline(props: OutlineProps): ReactNode {
  const { label, nodes, root, chosen, query, wrong, onChoose, onMove } = props;
  const rows = useMemo(() => rowsOf(nodes), [nodes]);
  const [closed, setClosed] = useState<ReadonlySet<string>>(() => initiallyClosed(nodes));
  const [pieces, setPieces] = useState(1);
  const [drop, setDrop] = useState<DropTarget | null>(null);
  const drag = useRef<{ readonly path: JsonPath; readonly y: number; isMoving: boolean } | null>(null);
  const tree = useRef<HTMLUListElement>(null);
  const hasFocus = useRef(false);

  const visible = useMemo(() => visibleRows(rows, closed, query), [rows, closed, query]);
  const chosenIndex = visible.findIndex(({ node }) => chosen !== null && samePath(node.path, chosen));
  const most = Math.max(pieces * pieceLength, chosenIndex + 1);
  const shown = visible.slice(0, most);
  const current = chosenIndex >= 0 ? chosenIndex : 0;

  // A row that is moved is another element afterwards: focus goes with it.
  useEffect(() => {
    if (hasFocus.current) tree.current?.querySelector<HTMLElement>('[role="treeitem"][tabindex="0"]')?.focus();
  }, [nodes, chosen]);

  const move = (row: OutlineRow, step: OutlineStep) => {
    const above = rows.find(({ node }) => row.parent !== null && samePath(node.path, row.parent.path)) ?? null;
    const place = placeAfterStep(row, above, root, step);
    if (!place) return;
    // What it goes into is opened, or it would be out of sight.
    const before = row.siblings[row.index - 1];
    if (step === 'in' && before) setClosed(without(closed, before.id ?? pointerOf(before.path)));
    onMove(row.node.path, place);
  };
  const onKeyDown = (event: KeyboardEvent, row: OutlineRow, index: number) => {
    const step = event.altKey ? stepOf(event.key, isRightToLeft(event.currentTarget)) : null;
    const key = keyOf(row);
    const go = (target: OutlineRow | undefined) => {
      if (target) onChoose(target.node.path);
    };
    if (step) move(row, step);
    else if (event.altKey || event.ctrlKey || event.metaKey) return;
    else if (event.key === 'ArrowDown') go(shown[index + 1]);
    else if (event.key === 'ArrowUp') go(shown[index - 1]);
    else if (event.key === 'Home') go(shown[0]);
    else if (event.key === 'End') go(shown.at(-1));
    else if (event.key === 'ArrowRight' && row.node.children.length > 0) {
      if (closed.has(key)) setClosed(without(closed, key));
      else go(shown[index + 1]);
    } else if (event.key === 'ArrowLeft') {
      if (row.node.children.length > 0 && !closed.has(key)) setClosed(new Set(closed).add(key));
      else go(shown.find(({ node }) => row.parent !== null && samePath(node.path, row.parent.path)));
    } else return;
    event.preventDefault();
  };

  const targetAt = (x: number, y: number): DropTarget | null => {
    const element = document.elementFromPoint(x, y)?.closest<HTMLElement>('[data-ft-outline]');
    const row = shown.find(({ node }) => pointerOf(node.path) === element?.dataset['ftOutline']);
    if (!element || !row || !drag.current) return null;
    const { top, height } = element.getBoundingClientRect();
    const part = (y - top) / height;
    const canHold = listBelow(row.node) !== null;
    const side = canHold ? (part < 0.3 ? 'before' : part > 0.7 ? 'after' : 'within') : part < 0.5 ? 'before' : 'after';
    const isWithinItself = drag.current.path.every((step, at) => step === row.node.path[at]);
    return isWithinItself ? null : { path: row.node.path, side };
  };
  const onPointerDown = (event: PointerEvent<HTMLElement>, row: OutlineRow) => {
    if (event.button !== 0) return;
    drag.current = { path: row.node.path, y: event.clientY, isMoving: false };
    event.currentTarget.setPointerCapture(event.pointerId);
  };
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    if (!drag.current) return;
    if (!drag.current.isMoving && Math.abs(event.clientY - drag.current.y) < 4) return;
    drag.current.isMoving = true;
    setDrop(targetAt(event.clientX, event.clientY));
  };
  const stop = () => {
    drag.current = null;
    setDrop(null);
  };
  const onPointerUp = () => {
    const from = drag.current;
    const row = rows.find(({ node }) => drop !== null && samePath(node.path, drop.path));
    stop();
    if (!from?.isMoving || !drop || !row) return;
    const below = listBelow(row.node);
    if (drop.side === 'within' && below) onMove(from.path, { list: below, index: row.node.children.length });
    else onMove(from.path, { list: row.node.path.slice(0, -1), index: row.index + (drop.side === 'after' ? 1 : 0) });
  };

  return (
    <>
      <ul
        ref={tree}
        role="tree"
        aria-label={label}
        className="ft-workbench-outline"
        onFocus={() => (hasFocus.current = true)}
        onBlur={() => (hasFocus.current = false)}
      >
        {shown.map((row, index) => {
          const { node, level, siblings } = row;
          const key = keyOf(row);
          const holds = node.children.length > 0;
          const isWrong = wrong.has(pointerOf(node.path));
          return (
            <li
              key={pointerOf(node.path)}
              role="treeitem"
              aria-level={level}
              aria-setsize={siblings.length}
              aria-posinset={row.index + 1}
              aria-selected={index === chosenIndex}
              aria-expanded={holds ? !closed.has(key) || query !== '' : undefined}
              tabIndex={index === current ? 0 : -1}
              data-ft-outline={pointerOf(node.path)}
              data-ft-drop={drop !== null && samePath(drop.path, node.path) ? drop.side : undefined}
              className="ft-workbench-row"
              style={{ paddingInlineStart: `${(level - 1) * 1.125 + 0.25}rem` }}
              onClick={() => onChoose(node.path)}
              onKeyDown={(event) => onKeyDown(event, row, index)}
            >
              <span
                className="ft-workbench-twig"
                aria-hidden="true"
                data-ft-holds={holds || undefined}
                onClick={(event) => {
                  event.stopPropagation();
                  if (holds) setClosed(closed.has(key) ? without(closed, key) : new Set(closed).add(key));
                }}
              />
              <span className="ft-workbench-row-label">
                {node.label || (node.kind === 'entry' ? '(no label)' : '(no title)')}
              </span>
              {node.kind !== 'entry' && node.kind !== 'divider' && (
                <span className="ft-workbench-kind">{node.kind}</span>
              )}
              {isWrong && <span className="ft-workbench-fault">problem</span>}
              <span
                className="ft-workbench-grip"
                aria-hidden="true"
                onClick={(event) => event.stopPropagation()}
                onPointerDown={(event) => onPointerDown(event, row)}
                onPointerMove={onPointerMove}
                onPointerUp={onPointerUp}
                onPointerCancel={stop}
              />
            </li>
          );
        })}
      </ul>
      {shown.length < visible.length && (
        <button type="button" data-ft-button="plain" onClick={() => setPieces(pieces + 1)}>
          Show more ({visible.length - shown.length} left)
        </button>
      )}
    </>
  );
}

function keyOf({ node }: OutlineRow): string {
  return node.id ?? pointerOf(node.path);
}

function without(closed: ReadonlySet<string>, key: string): ReadonlySet<string> {
  return new Set([...closed].filter((other) => other !== key));
}

/** A large site begins with its outermost entries alone. */
function initiallyClosed(nodes: readonly OutlineNode[]): ReadonlySet<string> {
  const all = [...everyNode(nodes)];
  if (all.length <= pieceLength) return new Set();
  return new Set(all.filter(({ children }) => children.length > 0).map(({ id, path }) => id ?? pointerOf(path)));
}

function visibleRows(rows: readonly OutlineRow[], closed: ReadonlySet<string>, query: string): readonly OutlineRow[] {
  const wanted = query.trim().toLowerCase();
  if (wanted !== '') {
    return rows.filter(({ node }) => `${node.label} ${node.id ?? ''}`.toLowerCase().includes(wanted));
  }
  let hiddenBelow = Number.POSITIVE_INFINITY;
  return rows.filter((row) => {
    if (row.level > hiddenBelow) return false;
    hiddenBelow = closed.has(keyOf(row)) ? row.level : Number.POSITIVE_INFINITY;
    return true;
  });
}

function stepOf(key: string, isMirrored: boolean): OutlineStep | null {
  const steps: Readonly<Record<string, OutlineStep>> = {
    ArrowUp: 'up',
    ArrowDown: 'down',
    ArrowRight: isMirrored ? 'out' : 'in',
    ArrowLeft: isMirrored ? 'in' : 'out',
  };
  return steps[key] ?? null;
}

function isRightToLeft(element: Element): boolean {
  return getComputedStyle(element).direction === 'rtl';
}
