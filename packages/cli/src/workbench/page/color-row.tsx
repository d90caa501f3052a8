import { checkPalette, readHex, writeHex, type PairResult, type Theme } from 'fair-trail/color';
import { colorNames, isReference, type ColorName } from 'fair-trail/internal/core';
import { useId, useState, type ReactNode } from 'react';
import { valueAt } from '../model/json-text.ts';
import { colorPath, resetToken, setColor, type Scheme } from '../model/token-edits.ts';
import { Button } from './fields.tsx';
import { PointedRow } from './pointed-row.tsx';

export interface ColorRowProps {
  readonly name: ColorName;
  readonly theme: string;
  readonly text: string;
  readonly palettes: Theme;
  readonly onEdit: (text: string, label: string, key?: string) => void;
  readonly onLeave: () => void;
}

/** A color in both schemes, with the contrast that it has wherever it meets another. */
export function ColorRow({ name, theme, text, palettes, onEdit, onLeave }: ColorRowProps): ReactNode {
  return (
    <PointedRow name={name}>
      <p className="ft-workbench-token-name">
        <b>{name}</b> {colorNames[name]}
      </p>
      <div className="ft-workbench-schemes">
        {(['light', 'dark'] as const).map((scheme) => (
          <ColorField
            key={scheme}
            name={name}
            theme={theme}
            scheme={scheme}
            text={text}
            value={writeHex(palettes[scheme][name])}
            pairs={checkPalette(palettes[scheme]).filter(
              ({ pair }) => pair.foreground === name || pair.background === name,
            )}
            onEdit={onEdit}
            onLeave={onLeave}
          />
        ))}
      </div>
    </PointedRow>
  );
}

interface ColorFieldProps extends Omit<ColorRowProps, 'palettes'> {
  readonly scheme: Scheme;
  readonly value: string;
  readonly pairs: readonly PairResult[];
}

function ColorField({ name, theme, scheme, text, value, pairs, onEdit, onLeave }: ColorFieldProps): ReactNode {
  const id = useId();
  // While one types, what is in the field is no color yet.
  const [typed, setTyped] = useState<string | null>(null);
  const path = colorPath(theme, scheme, name);
  const written = valueAt(text, [...path, '$value']);
  const failing = pairs.filter(({ passes }) => !passes);
  const set = (hex: string) => onEdit(setColor(text, path, hex), `${name}, ${scheme}`, `${theme} ${scheme} ${name}`);
  const nearest = failing.find(({ pair, nearest: found }) => pair.foreground === name && found !== null)?.nearest;
  const isHex = typed === null || readHex(typed) !== null;
  return (
    <div className="ft-workbench-color" role="group" aria-label={`${name}, ${scheme}`}>
      <label htmlFor={id}>{scheme}</label>
      <input
        type="color"
        aria-label={`${name}, ${scheme}: color`}
        value={value}
        onChange={({ target }) => {
          setTyped(null);
          set(target.value);
        }}
        onBlur={onLeave}
      />
      <input
        id={id}
        type="text"
        size={8}
        spellCheck={false}
        autoComplete="off"
        value={typed ?? value}
        aria-invalid={!isHex || undefined}
        onChange={({ target }) => {
          setTyped(target.value);
          const color = readHex(target.value);
          if (color) set(writeHex(color));
        }}
        onBlur={() => {
          setTyped(null);
          onLeave();
        }}
      />
      {written !== undefined && (
        <Button
          label={`Reset ${name}, ${scheme}`}
          onClick={() => onEdit(resetToken(text, path), `reset ${name}, ${scheme}`)}
        >
          Reset
        </Button>
      )}
      {isReference(written) && <p className="ft-workbench-hint">It is {written}; a change here replaces that.</p>}
      {!isHex && <p className="ft-workbench-fault">Write a color as #rrggbb.</p>}
      {pairs.length === 0 ? (
        <p className="ft-workbench-hint">Needs no contrast.</p>
      ) : (
        <details className="ft-workbench-pairs">
          <summary className={failing.length > 0 ? 'ft-workbench-fault' : ''}>
            {failing.length === 0
              ? `contrast: ${pairs.length} pass`
              : `contrast: ${failing.length} of ${pairs.length} too low`}
          </summary>
          <ul>
            {pairs.map(({ pair, contrast, passes }) => (
              <li key={`${pair.foreground} ${pair.background}`} className={passes ? '' : 'ft-workbench-fault'}>
                {/* Never rounded up: what is shown as 4.5 is no less. */}
                {(Math.floor(contrast * 100) / 100).toFixed(2)} of {pair.least}: {pair.foreground} on {pair.background}{' '}
                ({pair.states.join(', ')})
              </li>
            ))}
          </ul>
        </details>
      )}
      {nearest && (
        <Button onClick={() => onEdit(setColor(text, path, writeHex(nearest)), `nearest ${name}, ${scheme}`)}>
          Use {writeHex(nearest)}, the nearest that passes
        </Button>
      )}
    </div>
  );
}
