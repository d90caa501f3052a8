import { memo, useRef, type ReactNode } from 'react';
import { DrawnView } from '../react/printed-view.tsx';
import type { SlotContents } from '../react/printer.ts';
import { useBrowserLayoutEffect } from '../react/trail-context.ts';
import { shownAttribute, shownIn } from './shown-states.ts';
import type { Specimen } from './specimen.ts';

export interface SpecimenCellProps {
  readonly specimen: Specimen;
  readonly state: string;
  readonly id: string;
  readonly slots: SlotContents;
}

/** A part in one state. It is a picture of itself: nothing in it takes focus or answers a press. */
export const SpecimenCell = memo(function SpecimenCell(props: SpecimenCellProps): ReactNode {
  const { specimen, state, id, slots } = props;
  const { part, label, find, view } = specimen;
  const cell = useRef<HTMLDivElement>(null);
  // Also after each drawing: what is new in the document is shown in no state yet.
  useBrowserLayoutEffect(() => {
    if (cell.current) showState(cell.current, find, state);
  });
  return (
    <div
      ref={cell}
      className="ft-sheet-specimen"
      role="img"
      aria-label={`${label}: ${state}`}
      data-ft-part={part}
      data-ft-state={state}
    >
      <DrawnView view={view(state, id)} slots={slots} />
    </div>
  );
});

/** Names the state on the part, and on what it stands in: a pointer that is on an element is on all around it. */
export function showState(cell: HTMLElement, find: string, state: string): void {
  for (const element of cell.children) element.toggleAttribute('inert', true);
  const target = cell.querySelector(find);
  if (!target) return;
  target.toggleAttribute('data-ft-pending', state === 'pending');
  const { self, around } = shownIn(state);
  for (const shown of cell.querySelectorAll(`[${shownAttribute}]`)) shown.removeAttribute(shownAttribute);
  if (self.length === 0) return;
  target.setAttribute(shownAttribute, self.join(' '));
  for (let element = target.parentElement; element && element !== cell; element = element.parentElement) {
    element.setAttribute(shownAttribute, around.join(' '));
  }
}
