import { useState, type ReactNode } from 'react';
import { Button, CheckField } from './fields.tsx';
import type { SessionClient } from './session-client.ts';
import { messageOf, type WorkbenchModel } from './use-workbench.ts';

export interface ComparePanelProps {
  readonly client: SessionClient;
  readonly model: WorkbenchModel;
  /** What is not saved yet, in sentences. */
  readonly changes: readonly string[];
  readonly isCompared: boolean;
  readonly onCompare: (isCompared: boolean) => void;
}

/** What is saved beside what is edited. */
export function ComparePanel({ client, model, changes, isCompared, onCompare }: ComparePanelProps): ReactNode {
  const { state, history } = model.session;
  const [said, setSaid] = useState('');
  const [isBusy, setBusy] = useState(false);
  const takePictures = () => {
    setBusy(true);
    setSaid('Taking pictures…');
    client
      .takePictures(history.present)
      .then(setSaid, (error: unknown) => setSaid(messageOf(error)))
      .finally(() => setBusy(false));
  };
  return (
    <div className="ft-workbench-body">
      <CheckField label="Show what is saved beside what is edited" isChecked={isCompared} onChange={onCompare} />
      {isCompared && (
        <p className="ft-workbench-hint">
          <a href="#sheet-compared">At the top of the sheet</a> are the whole page, each table of states and all pages,
          in both versions. What differs is framed. Choose a small width to have both in one row.
        </p>
      )}
      <h3>Not saved yet</h3>
      {changes.length === 0 ? (
        <p>Nothing: the files say what is shown.</p>
      ) : (
        <ul>
          {changes.map((sentence) => (
            <li key={sentence}>{sentence}</li>
          ))}
        </ul>
      )}
      <h3>Pictures for a review</h3>
      {state.pictures === null ? (
        <p className="ft-workbench-hint">
          Start with --png &lt;folder&gt; to write pictures of both versions to a folder.
        </p>
      ) : (
        <Button isDisabled={isBusy} onClick={takePictures}>
          Write pictures to {state.pictures}
        </Button>
      )}
      <p role="status">{said}</p>
    </div>
  );
}
