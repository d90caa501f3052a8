import type { Problem } from 'fair-trail';
import { useId, type HTMLAttributes, type ReactNode } from 'react';

export interface FieldProps {
  readonly label: string;
  /** What is wrong with it now. */
  readonly problems?: readonly Problem[];
  readonly hint?: ReactNode;
}

interface TextFieldProps extends FieldProps, Pick<HTMLAttributes<HTMLInputElement>, 'lang' | 'inputMode'> {
  readonly value: string;
  readonly placeholder?: string;
  readonly onChange: (value: string) => void;
  /** Called when the field is left: what comes next is another step to undo. */
  readonly onLeave?: () => void;
  /** What can be chosen from; anything else can be typed. */
  readonly choices?: readonly string[];
}

/** A line of text, with what is wrong with it below. */
export function TextField(props: TextFieldProps): ReactNode {
  const { label, value, placeholder, problems = [], hint, choices, onChange, onLeave, ...attributes } = props;
  const id = useId();
  const described = problems.length > 0 || hint !== undefined ? `${id}-note` : undefined;
  const isWrong = problems.some(({ severity }) => severity === 'fatal');
  return (
    <div className="ft-workbench-field">
      <label htmlFor={id}>{label}</label>
      <input
        id={id}
        type="text"
        {...attributes}
        value={value}
        placeholder={placeholder}
        spellCheck={false}
        autoComplete="off"
        aria-invalid={isWrong || undefined}
        aria-describedby={described}
        list={choices && `${id}-choices`}
        onChange={({ target }) => onChange(target.value)}
        onBlur={onLeave}
      />
      {choices && (
        <datalist id={`${id}-choices`}>
          {choices.map((choice) => (
            <option key={choice} value={choice} />
          ))}
        </datalist>
      )}
      {described !== undefined && (
        <div id={described}>
          <ProblemNotes problems={problems} />
          {hint}
        </div>
      )}
    </div>
  );
}

/** What is wrong, and how to fix it. */
export function ProblemNotes({ problems }: { readonly problems: readonly Problem[] }): ReactNode {
  return problems.map(({ code, severity, message, remedy, pointer }) => (
    <p
      key={`${pointer} ${code} ${message}`}
      className={severity === 'fatal' ? 'ft-workbench-fault' : 'ft-workbench-advice'}
    >
      {message} {remedy}
    </p>
  ));
}

interface CheckFieldProps {
  readonly label: string;
  readonly isChecked: boolean;
  readonly onChange: (isChecked: boolean) => void;
}

export function CheckField({ label, isChecked, onChange }: CheckFieldProps): ReactNode {
  return (
    <label className="ft-workbench-check">
      <input type="checkbox" checked={isChecked} onChange={({ target }) => onChange(target.checked)} />
      {label}
    </label>
  );
}

interface SelectFieldProps extends FieldProps {
  readonly value: string;
  readonly choices: readonly (readonly [value: string, label: string])[];
  readonly onChange: (value: string) => void;
}

export function SelectField({ label, value, choices, problems = [], onChange }: SelectFieldProps): ReactNode {
  const id = useId();
  return (
    <div className="ft-workbench-field">
      <label htmlFor={id}>{label}</label>
      <select
        id={id}
        value={value}
        aria-describedby={problems.length > 0 ? `${id}-note` : undefined}
        onChange={({ target }) => onChange(target.value)}
      >
        {choices.map(([choice, said]) => (
          <option key={choice} value={choice}>
            {said}
          </option>
        ))}
      </select>
      {problems.length > 0 && (
        <div id={`${id}-note`}>
          <ProblemNotes problems={problems} />
        </div>
      )}
    </div>
  );
}

interface ButtonProps {
  readonly onClick: () => void;
  readonly isDisabled?: boolean;
  readonly isPressed?: boolean;
  readonly label?: string;
  readonly children: ReactNode;
}

/** A button that keeps its place for the keyboard when there is nothing to do for it. */
export function Button({ onClick, isDisabled = false, isPressed, label, children }: ButtonProps): ReactNode {
  return (
    <button
      type="button"
      data-ft-button="plain"
      aria-disabled={isDisabled || undefined}
      aria-pressed={isPressed}
      aria-label={label}
      onClick={() => {
        if (!isDisabled) onClick();
      }}
    >
      {children}
    </button>
  );
}

/** The number that is written in a field. Any other text stays as it is, so that the problem is reported beside the field. */
export function numberOrText(written: string): number | string {
  const number = Number(written);
  return Number.isFinite(number) ? number : written;
}
