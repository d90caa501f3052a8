import type { ViewNode } from '../core/view/view.ts';
import type { Specimen, SpecimenTable } from './specimen.ts';

/**
 * The next tables, made of the last ones wherever these draw the same: while one types a label, most of a sheet need not be
 * drawn anew.
 */
export function shareTables(
  last: readonly SpecimenTable[] | null,
  next: readonly SpecimenTable[],
): readonly SpecimenTable[] {
  if (last === null) return next;
  const known = new Map(last.map((table) => [table.name, table]));
  const shared = next.map((table) => {
    const before = known.get(table.name);
    return before ? shareTable(before, table) : table;
  });
  return shared.length === last.length && shared.every((table, index) => table === last[index]) ? last : shared;
}

function shareTable(last: SpecimenTable, next: SpecimenTable): SpecimenTable {
  const known = new Map(last.specimens.map((specimen) => [specimen.key, specimen]));
  const specimens = next.specimens.map((specimen) => {
    const before = known.get(specimen.key);
    return before && drawsTheSame(before, specimen) ? before : specimen;
  });
  const isSame =
    specimens.length === last.specimens.length &&
    specimens.every((specimen, index) => specimen === last.specimens[index]) &&
    next.title === last.title &&
    next.of === last.of &&
    next.columnWidth === last.columnWidth;
  return isSame ? last : { ...next, specimens };
}

function drawsTheSame(one: Specimen, other: Specimen): boolean {
  if (one.part !== other.part || one.label !== other.label || one.find !== other.find) return false;
  if (one.states.join() !== other.states.join()) return false;
  return other.states.every((state) => {
    return looksTheSame(one.view(state, 'shared'), other.view(state, 'shared'));
  });
}

/** What a press would do is no part of it: nothing in a specimen can be pressed. */
function looksTheSame(one: ViewNode<unknown>, other: ViewNode<unknown>): boolean {
  if (typeof one === 'string' || typeof other === 'string') return one === other;
  if ('slot' in one || 'slot' in other) {
    return 'slot' in one && 'slot' in other && one.slot === other.slot && one.about === other.about;
  }
  const names = Object.keys(one.attributes);
  return (
    one.tag === other.tag &&
    one.key === other.key &&
    names.length === Object.keys(other.attributes).length &&
    names.every((name) => one.attributes[name] === other.attributes[name]) &&
    one.children.length === other.children.length &&
    one.children.every((child, index) => {
      const counterpart = other.children[index];
      return counterpart !== undefined && looksTheSame(child, counterpart);
    })
  );
}
