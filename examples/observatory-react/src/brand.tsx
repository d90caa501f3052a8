import type { ReactNode } from 'react';

/** The observatory's board and name. */
export function Brand(): ReactNode {
  return (
    <>
      <svg className="brand-mark" viewBox="0 0 32 32" aria-hidden="true">
        <path className="brand-board" d="M4 0h24l4 4v24l-4 4H4l-4-4V4z" />
        <path className="brand-bird" d="M5 24h22M8 19c4-1 6-4 8-10 1 5 4 9 9 10M16 9v10" />
      </svg>
      <span>
        Marram Point{' '}
        <span className="brand-second" data-ft-tagline="">
          Bird Observatory
        </span>
      </span>
    </>
  );
}
