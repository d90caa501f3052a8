import { useId, type ReactNode } from 'react';
import { choices, limits, widthPresets, withinLimits, type Conditions } from './conditions.ts';

export interface ConditionOptions {
  readonly themes: readonly string[];
  readonly audiences: readonly string[];
  readonly languages: readonly string[];
  /** Addresses to choose from; any other can be typed. */
  readonly addresses: readonly string[];
  readonly home: string;
}

export interface ConditionFieldsProps {
  readonly conditions: Conditions;
  readonly options: ConditionOptions;
  readonly onChange: (change: Partial<Conditions>) => void;
  readonly onReset: () => void;
}

const textPresets = [100, 150, 200, 400] as const;

/** How the values are said. */
const words: Readonly<Record<string, string>> = {
  auto: 'by language',
  ltr: 'left to right',
  rtl: 'right to left',
  system: 'System default',
  'no-preference': 'usual',
  reduce: 'reduced',
};

/** The form in which the conditions are chosen: native controls, all of them reached by Tab. */
export function ConditionFields({ conditions, options, onChange, onReset }: ConditionFieldsProps): ReactNode {
  const { width, text, audience, language, address, theme } = conditions;
  const chosenAudiences = audience === 'unknown' ? [] : audience;
  const toggleAudience = (name: string) => {
    const isChosen = chosenAudiences.includes(name);
    onChange({
      audience: isChosen ? chosenAudiences.filter((other) => other !== name) : [...chosenAudiences, name],
    });
  };
  return (
    <form className="ft-sheet-conditions" aria-label="Conditions" onSubmit={(event) => event.preventDefault()}>
      <NumberField
        label="Width"
        unit="px"
        name="width"
        value={width}
        presets={widthPresets}
        step={8}
        onChange={(value) => onChange({ width: value })}
      />
      <NumberField
        label="Text size"
        unit="%"
        name="text"
        value={text}
        presets={textPresets}
        step={10}
        onChange={(value) => onChange({ text: value })}
      />
      {(['direction', 'scheme', 'contrast', 'motion', 'density'] as const).map((name) => (
        <Choice
          key={name}
          label={name.charAt(0).toUpperCase() + name.slice(1)}
          value={conditions[name]}
          options={choices[name]}
          onChange={(value) => onChange({ [name]: value })}
        />
      ))}
      {options.themes.length > 1 && (
        <Choice label="Theme" value={theme} options={options.themes} onChange={(value) => onChange({ theme: value })} />
      )}
      {options.languages.length > 1 && (
        <Choice
          label="Language"
          value={language ?? options.languages[0] ?? ''}
          options={options.languages}
          onChange={(value) => onChange({ language: value === options.languages[0] ? null : value })}
        />
      )}
      <AddressField
        value={address ?? options.home}
        options={options.addresses}
        home={options.home}
        onChange={onChange}
      />
      {options.audiences.length > 0 && (
        <fieldset className="ft-sheet-field">
          <legend>Audience</legend>
          {options.audiences.map((name) => (
            <label key={name} className="ft-sheet-check">
              <input type="checkbox" checked={chosenAudiences.includes(name)} onChange={() => toggleAudience(name)} />
              {name}
            </label>
          ))}
          <label className="ft-sheet-check">
            <input
              type="checkbox"
              checked={audience === 'unknown'}
              onChange={({ target }) => onChange({ audience: target.checked ? 'unknown' : [] })}
            />
            not known yet
          </label>
        </fieldset>
      )}
      <button type="button" data-ft-button="plain" onClick={onReset}>
        Reset
      </button>
    </form>
  );
}

export interface FoldedConditionsProps {
  readonly conditions: Conditions;
  readonly children: ReactNode;
}

/** The form behind one line that says what it holds. */
export function FoldedConditions({ conditions, children }: FoldedConditionsProps): ReactNode {
  const { width, text, direction, scheme, density } = conditions;
  const said = [
    `${width} px`,
    `text ${text} %`,
    ...(direction === 'auto' ? [] : [words[direction] ?? direction]),
    ...(scheme === 'system' ? [] : [scheme]),
    ...(density === 'usual' ? [] : [density]),
  ];
  return (
    <details className="ft-sheet-folded">
      <summary>Conditions: {said.join(', ')}</summary>
      {children}
    </details>
  );
}

interface NumberFieldProps {
  readonly label: string;
  readonly unit: string;
  readonly name: keyof typeof limits;
  readonly value: number;
  readonly presets: readonly number[];
  readonly step: number;
  readonly onChange: (value: number) => void;
}

function NumberField({ label, unit, name, value, presets, step, onChange }: NumberFieldProps): ReactNode {
  const { least, most } = limits[name];
  const change = (written: string) => {
    const number = Number(written);
    if (written !== '' && Number.isFinite(number)) onChange(withinLimits(name, number));
  };
  return (
    <fieldset className="ft-sheet-field ft-sheet-number">
      <legend>
        {label}, <output>{value}</output> {unit}
      </legend>
      <input
        type="range"
        aria-label={label}
        aria-valuetext={`${value} ${unit}`}
        min={least}
        max={most}
        step={step}
        value={value}
        onChange={({ target }) => change(target.value)}
      />
      <span className="ft-sheet-presets">
        {presets.map((preset) => (
          <button
            key={preset}
            type="button"
            data-ft-button="plain"
            aria-pressed={preset === value}
            aria-label={`${label} ${preset} ${unit}`}
            onClick={() => onChange(preset)}
          >
            {preset}
          </button>
        ))}
      </span>
    </fieldset>
  );
}

interface ChoiceProps<Value extends string> {
  readonly label: string;
  readonly value: Value;
  readonly options: readonly Value[];
  readonly onChange: (value: Value) => void;
}

export function Choice<Value extends string>({ label, value, options, onChange }: ChoiceProps<Value>): ReactNode {
  return (
    <label className="ft-sheet-field">
      <span>{label}</span>
      <select value={value} onChange={({ target }) => onChange(target.value as Value)}>
        {options.map((option) => (
          <option key={option} value={option}>
            {words[option] ?? option}
          </option>
        ))}
      </select>
    </label>
  );
}

interface AddressFieldProps {
  readonly value: string;
  readonly options: readonly string[];
  readonly home: string;
  readonly onChange: (change: Partial<Conditions>) => void;
}

/** Whatever is typed counts at Enter or when the field is left: half an address is no place. */
function AddressField({ value, options, home, onChange }: AddressFieldProps): ReactNode {
  const listId = useId();
  const choose = (written: string) => {
    const address = written.trim();
    if (address !== value) onChange({ address: address === '' || address === home ? null : address });
  };
  return (
    <label className="ft-sheet-field ft-sheet-address">
      <span>Address</span>
      <input
        key={value}
        type="text"
        list={listId}
        defaultValue={value}
        spellCheck={false}
        autoComplete="off"
        onBlur={({ target }) => choose(target.value)}
        onKeyDown={(event) => {
          if (event.key === 'Enter') choose(event.currentTarget.value);
        }}
      />
      <datalist id={listId}>
        {options.map((option) => (
          <option key={option} value={option} />
        ))}
      </datalist>
    </label>
  );
}
