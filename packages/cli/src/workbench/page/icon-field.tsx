import type { Problem } from 'fair-trail';
import { useId, type ReactNode } from 'react';
import { ProblemNotes, TextField } from './fields.tsx';

export interface IconFieldProps {
  readonly label: string;
  readonly value: string;
  readonly icon: ((name: string) => ReactNode) | undefined;
  readonly icons: readonly string[];
  readonly problems: readonly Problem[];
  readonly onChange: (name: string) => void;
}

/** One of the project's own drawings; where they are not known, a name. */
export function IconField({ label, value, icon, icons, problems, onChange }: IconFieldProps): ReactNode {
  const name = useId();
  if (!icon || icons.length === 0) {
    return (
      <TextField
        label={label}
        value={value}
        problems={problems}
        onChange={onChange}
        hint={<p className="ft-workbench-hint">Start with --icons sprite.svg to choose from drawings.</p>}
      />
    );
  }
  const choices = ['', ...icons, ...(value !== '' && !icons.includes(value) ? [value] : [])];
  return (
    <details className="ft-workbench-more">
      <summary>
        {label}: {value === '' ? 'none' : value} {value !== '' && icon(value)}
      </summary>
      <fieldset className="ft-workbench-icons">
        <legend className="ft-visually-hidden">{label}</legend>
        {choices.map((choice) => (
          <label key={choice} title={choice === '' ? 'none' : choice}>
            <input
              type="radio"
              name={name}
              value={choice}
              checked={choice === value}
              onChange={() => onChange(choice)}
            />
            {choice === '' ? (
              'none'
            ) : (
              <>
                {icon(choice) ?? <span aria-hidden="true">?</span>}
                <span className="ft-visually-hidden">{choice}</span>
              </>
            )}
          </label>
        ))}
      </fieldset>
      <ProblemNotes problems={problems} />
    </details>
  );
}
