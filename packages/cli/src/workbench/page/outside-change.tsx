import type { ReactNode } from 'react';
import { Button } from './fields.tsx';
import type { WorkbenchModel } from './use-workbench.ts';

/** Asks about places that were changed here and, meanwhile, in the file. */
export function OutsideChange({ session, dispatch }: Pick<WorkbenchModel, 'session' | 'dispatch'>): ReactNode {
  const { pending } = session;
  if (!pending) return null;
  return (
    <section className="ft-workbench-outside" aria-labelledby="workbench-outside">
      <h2 id="workbench-outside">Changed outside, and here</h2>
      <p>Nothing is saved until each of these places is decided. What was changed in one version alone is kept.</p>
      {pending.conflicts.map(({ file, mine, theirs }, index) => (
        // Two places may read alike: their order tells them apart.
        <div key={`${index} ${mine}`} role="group" aria-label={`Place ${index + 1} in ${file}`}>
          <p>
            <code>{file}</code>, place {index + 1} of {pending.conflicts.length}
          </p>
          <dl>
            <dt>Here</dt>
            <dd>
              <pre>{shortened(mine)}</pre>
            </dd>
            <dt>In the file</dt>
            <dd>
              <pre>{shortened(theirs)}</pre>
            </dd>
          </dl>
          <div className="ft-workbench-buttons">
            {(['mine', 'theirs'] as const).map((side) => (
              <Button
                key={side}
                isPressed={pending.choices[index] === side}
                onClick={() => dispatch({ type: 'decide', index, side })}
              >
                {side === 'mine' ? 'Keep what is here' : 'Take what is in the file'}
              </Button>
            ))}
          </div>
        </div>
      ))}
    </section>
  );
}

/** A whole file is no help to decide. */
function shortened(text: string): string {
  const lines = text.split('\n');
  return lines.length <= 12 ? text : [...lines.slice(0, 12), `… ${lines.length - 12} more lines`].join('\n');
}
