import { useState, type ReactNode } from 'react';
import { pointAt } from './pointing.ts';

export interface PointedRowProps {
  readonly name: string;
  readonly children: ReactNode;
}

/** A token, which points at what it changes in the page while it is hovered or has focus. */
export function PointedRow({ name, children }: PointedRowProps): ReactNode {
  const [count, setCount] = useState<number | null>(null);
  const point = () => setCount(pointAt(name));
  const leave = () => {
    pointAt(null);
    setCount(null);
  };
  return (
    <div
      className="ft-workbench-token"
      data-ft-token={name}
      onPointerEnter={point}
      onPointerLeave={leave}
      onFocus={point}
      onBlur={leave}
    >
      {children}
      {count !== null && (
        <span className="ft-workbench-count">
          changes {count} {count === 1 ? 'place' : 'places'}
        </span>
      )}
    </div>
  );
}
