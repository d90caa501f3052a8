import { deriveTheme, readHex } from 'fair-trail/color';
import {
  colorNames,
  measureTokens,
  type ColorName,
  type MeasureToken,
  type TokenSection,
} from 'fair-trail/internal/core';
import { useState, type ReactNode } from 'react';
import { valueAt } from '../model/json-text.ts';
import { emptyTokens, resetToken, setMeasure, setTheme } from '../model/token-edits.ts';
import { ColorRow } from './color-row.tsx';
import { Button, CheckField, SelectField } from './fields.tsx';
import { MeasureRow } from './measure-row.tsx';
import { ownTheme, type WorkbenchModel } from './use-workbench.ts';

export interface LooksPanelProps {
  readonly model: WorkbenchModel;
  /** The theme that the sheet is viewed under. */
  readonly theme: string;
  /** Whether the whole page is shown in both schemes. */
  readonly hasSchemes: boolean;
  readonly onSchemes: (hasSchemes: boolean) => void;
}

/** How tokens are grouped, as people think of them. */
const sections: readonly (readonly [Exclude<TokenSection, 'colors' | 'motion'>, string])[] = [
  ['type', 'Type'],
  ['spacing', 'Spacing'],
  ['sizes', 'Sizes'],
  ['shape', 'Shape'],
];

const dimension = (value: number) => ({ value, unit: 'rem' });

/** Corners in one choice: what each sets the three tokens of shape to; null for the library's own. */
const shapes: Readonly<Record<string, Readonly<Record<'cut' | 'round' | 'arrow', number | null>>>> = {
  'cut corners': { cut: null, round: null, arrow: null },
  'rounded corners': { cut: 0, round: 0.5, arrow: 0 },
  'square corners': { cut: 0, round: null, arrow: 0 },
};

/** Every token of the theme, each with what it changes. Those of motion have a panel of their own. */
export function LooksPanel({ model, theme: viewed, hasSchemes, onSchemes }: LooksPanelProps): ReactNode {
  const { session, dispatch, read } = model;
  const text = session.history.present.tokens ?? emptyTokens;
  const [chosenTheme, setChosenTheme] = useState('default');
  const themes = [...new Set(['default', ...Object.keys(read.theme.themes)])];
  const theme = themes.includes(chosenTheme) ? chosenTheme : 'default';
  const palettes = read.theme.themes[theme] ?? ownTheme;
  const edit = (next: string, label: string, key?: string) => {
    dispatch({ type: 'edit', texts: { tokens: next }, label, ...(key !== undefined && { key }) });
  };
  const { locked } = session.state.tokens;
  if (!model.read.isTokensJson) {
    return (
      <div className="ft-workbench-body">
        <p className="ft-workbench-fault">The tokens file is not JSON. Correct it in your editor: this page follows.</p>
      </div>
    );
  }
  return (
    <div className="ft-workbench-body">
      <ul role="list" className="ft-workbench-jumps" aria-label="Kinds of tokens">
        {[['colors', 'Colors'] as const, ...sections].map(([section, title]) => (
          <li key={section}>
            <a href={`#workbench-${section}`}>{title}</a>
          </li>
        ))}
      </ul>
      {locked !== null && <p className="ft-workbench-advice">{locked}</p>}
      <CheckField label="Show light and dark side by side" isChecked={hasSchemes} onChange={onSchemes} />
      {read.theme.problems.map(({ pointer, message }) => (
        <p key={`${pointer} ${message}`} className="ft-workbench-fault">
          <code>{pointer}</code> {message}
        </p>
      ))}
      <BrandColors
        onMake={(brand, second) => {
          const [first, other] = [readHex(brand), second === '' ? undefined : readHex(second)];
          if (first) edit(setTheme(text, theme, deriveTheme(first, other ?? undefined)), 'theme from brand colors');
        }}
      />
      {themes.length > 1 && (
        <SelectField
          label="Theme to edit"
          value={theme}
          choices={themes.map((name) => [name, name])}
          onChange={setChosenTheme}
        />
      )}
      {viewed !== theme && <p className="ft-workbench-advice">The sheet shows the theme {viewed}.</p>}
      <section aria-labelledby="workbench-colors">
        <h3 id="workbench-colors" tabIndex={-1}>
          Colors
        </h3>
        {(Object.keys(colorNames) as ColorName[]).map((name) => (
          <ColorRow
            key={name}
            name={name}
            theme={theme}
            text={text}
            palettes={palettes}
            onEdit={edit}
            onLeave={() => dispatch({ type: 'settle' })}
          />
        ))}
      </section>
      {sections.map(([section, title]) => (
        <section key={section} aria-labelledby={`workbench-${section}`}>
          <h3 id={`workbench-${section}`} tabIndex={-1}>
            {title}
          </h3>
          {section === 'shape' && (
            <div className="ft-workbench-buttons" role="group" aria-label="Corners">
              {Object.entries(shapes).map(([name, values]) => (
                <Button
                  key={name}
                  isPressed={hasShape(text, values)}
                  onClick={() => edit(withShape(text, values), name)}
                >
                  {name}
                </Button>
              ))}
            </div>
          )}
          {measureTokens
            .filter((token) => token.section === section)
            .map((token) => (
              <MeasureRow
                key={token.name}
                token={token}
                text={text}
                onEdit={edit}
                onLeave={() => dispatch({ type: 'settle' })}
              />
            ))}
        </section>
      ))}
    </div>
  );
}

function shapeToken(name: string): MeasureToken {
  const token = measureTokens.find((each) => each.group === 'shape' && each.name === name);
  if (!token) throw new Error(`There is no token "${name}".`);
  return token;
}

function withShape(text: string, values: Readonly<Record<string, number | null>>): string {
  return Object.entries(values).reduce((next, [name, value]) => {
    return value === null ? resetToken(next, ['shape', name]) : setMeasure(next, shapeToken(name), dimension(value));
  }, text);
}

function hasShape(text: string, values: Readonly<Record<string, number | null>>): boolean {
  return Object.entries(values).every(([name, value]) => {
    const written = valueAt(text, ['shape', name, '$value', 'value']);
    // How round is a matter of taste; whether at all is the choice.
    return value === null
      ? written === undefined
      : name === 'round'
        ? typeof written === 'number' && written > 0
        : written === value;
  });
}

function BrandColors({ onMake }: { readonly onMake: (brand: string, second: string) => void }): ReactNode {
  const [brand, setBrand] = useState('#4b6118');
  const [second, setSecond] = useState('');
  return (
    <details className="ft-workbench-more">
      <summary>A theme from one or two brand colors</summary>
      <div className="ft-workbench-line">
        <label className="ft-workbench-field">
          <span>Brand color</span>
          <input type="color" value={brand} onChange={({ target }) => setBrand(target.value)} />
        </label>
        <label className="ft-workbench-field">
          <span>Second color</span>
          <input
            type="color"
            value={second === '' ? brand : second}
            onChange={({ target }) => setSecond(target.value)}
          />
        </label>
        <Button onClick={() => onMake(brand, second)}>Make the theme</Button>
      </div>
      <p className="ft-workbench-hint">
        Light and dark: the first paints the mark and tints the paper, the second the call to action and the focus ring.
        Each is moved in lightness, only as far as its contrast needs.
      </p>
    </details>
  );
}
