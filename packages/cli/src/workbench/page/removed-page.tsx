import type { ReactNode } from 'react';
import type { Removal } from '../model/removal.ts';
import { Button } from './fields.tsx';

/** Says what was removed, as a sentence. */
export function removalText({ label, below, menus }: Removal): string {
  const parts = [
    ...(below.length === 0
      ? []
      : [`${below.length} ${below.length === 1 ? 'page' : 'pages'} below it (${below.join(', ')})`]),
    ...(menus.length === 0 ? [] : [`its items in ${menus.join(', ')}`]),
  ];
  return `Removed ${label}${parts.length === 0 ? '' : `, with ${parts.join(' and ')}`}.`;
}

interface RemovedPageProps {
  readonly removal: Removal;
  /** Called with the id of the entry that takes the addresses over. */
  readonly onKeep: (heir: string) => void;
}

/** What went with a page that was removed, and what becomes of the links to it. */
export function RemovedPage({ removal, onKeep }: RemovedPageProps): ReactNode {
  const { addresses, heir } = removal;
  return (
    <div className="ft-workbench-advice">
      <p>{removalText(removal)}</p>
      {addresses.length > 0 && (
        <p>
          Links to {addresses.join(', ')} will lead nowhere.{' '}
          {heir !== null && <Button onClick={() => onKeep(heir.id)}>Lead them to {heir.label}</Button>}
        </p>
      )}
    </div>
  );
}
