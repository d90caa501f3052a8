import { isReference, measureCss, type MeasureToken } from 'fair-trail/internal/core';
import { useId, useState, type ReactNode } from 'react';
import { valueAt } from '../model/json-text.ts';
import { resetToken, setMeasure } from '../model/token-edits.ts';
import { Button } from './fields.tsx';
import { PointedRow } from './pointed-row.tsx';

export interface MeasureRowProps {
  readonly token: MeasureToken;
  readonly text: string;
  readonly onEdit: (text: string, label: string, key?: string) => void;
  readonly onLeave: () => void;
}

/** A token that is no color, with a field of its kind. */
export function MeasureRow({ token, text, onEdit, onLeave }: MeasureRowProps): ReactNode {
  const { group, name, type, usual, what } = token;
  const written = valueAt(text, [group, name, '$value']);
  const set = (value: unknown) => onEdit(setMeasure(text, token, value), name, `${group} ${name}`);
  return (
    <PointedRow name={name}>
      <p className="ft-workbench-token-name">
        <b>{name}</b> {what}
      </p>
      <div className="ft-workbench-measure">
        {type === 'dimension' && (
          <LengthField name={name} written={written} usual={usual} onChange={set} onLeave={onLeave} />
        )}
        {type === 'fontFamily' && <FamilyField name={name} written={written} onChange={set} onLeave={onLeave} />}
        {type === 'fontWeight' && <WeightField name={name} written={written} onChange={set} onLeave={onLeave} />}
        {written === undefined ? (
          <span className="ft-workbench-hint">{usual === null ? 'as the page has it' : 'the library’s own'}</span>
        ) : (
          <Button label={`Reset ${name}`} onClick={() => onEdit(resetToken(text, [group, name]), `reset ${name}`)}>
            Reset
          </Button>
        )}
      </div>
      {isReference(written) && <p className="ft-workbench-hint">It is {written}; a change here replaces that.</p>}
    </PointedRow>
  );
}

interface MeasureFieldProps {
  readonly name: string;
  readonly written: unknown;
  readonly onChange: (value: unknown) => void;
  readonly onLeave: () => void;
}

/** The length in a default such as `0.75em`: where it goes by the text, about what it is of the page's. */
function usualLength(usual: string | null): number {
  const match = /^([\d.]+)(?:rem|em)$/u.exec(usual ?? '');
  return match ? Number(match[1]) : 1;
}

/** The greatest length that a slider offers, in rem. */
function mostLength(usual: number): number {
  return Math.max(1.5, usual * 2);
}

function LengthField({
  name,
  written,
  usual,
  onChange,
  onLeave,
}: MeasureFieldProps & { readonly usual: string | null }): ReactNode {
  const { value, unit } = (typeof written === 'object' && written !== null ? written : {}) as {
    readonly value?: number;
    readonly unit?: string;
  };
  const own = usualLength(usual);
  const unitNow = unit === 'px' ? 'px' : 'rem';
  const scale = unitNow === 'px' ? 16 : 1;
  const now = typeof value === 'number' ? value : own;
  const set = (next: number) => onChange({ value: Math.round(next * 10_000) / 10_000, unit: unitNow });
  return (
    <>
      <input
        type="range"
        aria-label={`${name}, slider`}
        min={0}
        max={mostLength(own) * scale}
        step={scale / 16}
        value={now}
        onChange={({ target }) => set(Number(target.value))}
        onBlur={onLeave}
      />
      <NumberField label={name} value={now} step={scale / 16} onChange={set} onLeave={onLeave} />
      <select
        aria-label={`${name}, unit`}
        value={unitNow}
        onChange={({ target }) => onChange({ value: target.value === 'px' ? now * 16 : now / 16, unit: target.value })}
      >
        <option value="rem">rem</option>
        <option value="px">px</option>
      </select>
    </>
  );
}

export interface NumberInputProps {
  readonly label: string;
  readonly value: number;
  readonly step: number;
  readonly min?: number;
  readonly max?: number;
  readonly onChange: (value: number) => void;
  readonly onLeave: () => void;
}

/** A number. What is no number yet, while one types, changes nothing. */
export function NumberField({ label, value, step, min, max, onChange, onLeave }: NumberInputProps): ReactNode {
  const [typed, setTyped] = useState<string | null>(null);
  return (
    <input
      type="number"
      aria-label={label}
      value={typed ?? String(value)}
      step={step}
      min={min}
      max={max}
      onChange={({ target }) => {
        setTyped(target.value);
        const number = Number(target.value);
        const isWithin = number >= (min ?? -Infinity) && number <= (max ?? Infinity);
        if (target.value !== '' && Number.isFinite(number) && isWithin) onChange(number);
      }}
      onBlur={() => {
        setTyped(null);
        onLeave();
      }}
    />
  );
}

function FamilyField({ name, written, onChange, onLeave }: MeasureFieldProps): ReactNode {
  const id = useId();
  const [typed, setTyped] = useState<string | null>(null);
  const known = Array.isArray(written) ? written.join(', ') : typeof written === 'string' ? written : '';
  const names = (typed ?? known).split(',').map((each) => each.trim());
  const isRight = typed === null || measureCss('fontFamily', names) !== null;
  return (
    <>
      <input
        type="text"
        aria-label={name}
        aria-describedby={isRight ? undefined : id}
        aria-invalid={!isRight || undefined}
        value={typed ?? known}
        placeholder="Georgia, serif"
        spellCheck={false}
        onChange={({ target }) => {
          setTyped(target.value);
          const next = target.value.split(',').map((each) => each.trim());
          if (measureCss('fontFamily', next) !== null) onChange(next.length === 1 ? next[0] : next);
        }}
        onBlur={() => {
          setTyped(null);
          onLeave();
        }}
      />
      {!isRight && (
        <span id={id} className="ft-workbench-fault">
          Names of fonts, with commas between them.
        </span>
      )}
    </>
  );
}

function WeightField({ name, written, onChange, onLeave }: MeasureFieldProps): ReactNode {
  const value = typeof written === 'number' ? written : 400;
  return (
    <>
      <input
        type="range"
        aria-label={`${name}, slider`}
        min={100}
        max={900}
        step={50}
        value={value}
        onChange={({ target }) => onChange(Number(target.value))}
        onBlur={onLeave}
      />
      <NumberField label={name} value={value} step={50} min={1} max={1000} onChange={onChange} onLeave={onLeave} />
    </>
  );
}
