import { Choice, CopyText, type Conditions } from 'fair-trail/internal/sheet';
import { useState, type ReactNode } from 'react';
import {
  codeForms,
  componentCode,
  initialOptions,
  optionControls,
  type CodeForm,
  type TunedComponent,
  type TunedOptions,
} from '../model/component-code.ts';
import type { WorkbenchState } from '../server/workbench-state.ts';
import { Button, CheckField, SelectField } from './fields.tsx';

export interface OptionsPanelProps {
  readonly options: TunedOptions;
  readonly menus: WorkbenchState['menus'];
  readonly conditions: Conditions;
  readonly onChange: (options: TunedOptions) => void;
}

const titles: Readonly<Record<TunedComponent, string>> = { bar: 'Bar', sidebar: 'Sidebar', breadcrumbs: 'Breadcrumbs' };

/** The options of the components on the whole page, and the code that gives them. */
export function OptionsPanel({ options, menus, conditions, onChange }: OptionsPanelProps): ReactNode {
  const [form, setForm] = useState<CodeForm>('React');
  const set = (component: TunedComponent, option: string, value: string | boolean) => {
    onChange({ ...options, [component]: { ...options[component], [option]: value } });
  };
  const code = componentCode(form, options, {
    menus: { ...(menus.bar && { bar: menus.bar }), ...(menus.sidebar && { sidebar: menus.sidebar }) },
    density: conditions.density,
    theme: conditions.theme,
  });
  return (
    <div className="ft-workbench-body">
      <p className="ft-workbench-hint">
        Options are no part of the files: they are written where a component is used.{' '}
        <a href="#sheet-whole-page">The whole page</a> of the sheet shows them.
      </p>
      {(Object.keys(titles) as TunedComponent[]).map((component) => (
        <fieldset key={component} className="ft-workbench-options">
          <legend>{titles[component]}</legend>
          {optionControls[component].map(({ option, label, values }) => {
            const value = options[component][option];
            if (!values) {
              return (
                <CheckField
                  key={option}
                  label={label}
                  isChecked={value === true}
                  onChange={(isOn) => set(component, option, isOn)}
                />
              );
            }
            return (
              <SelectField
                key={option}
                label={label}
                value={typeof value === 'string' ? value : (values[0] ?? '')}
                choices={values.map((choice) => [choice, choice === '' ? 'the default' : choice])}
                onChange={(next) => set(component, option, next)}
              />
            );
          })}
        </fieldset>
      ))}
      <Button onClick={() => onChange(initialOptions)}>Reset the options</Button>
      <Choice label="Code for" value={form} options={codeForms} onChange={setForm} />
      <CopyText label={`The code, for ${form}`} text={code} />
    </div>
  );
}
