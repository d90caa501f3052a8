import { useId, useMemo, useState, type ReactNode } from 'react';
import { Tablist, Tabpanel, Tabs } from 'fair-trail/react';
import { chooseFramework, frameworks, useFramework } from '../framework.ts';
import { PreviewFrame } from '../preview/preview-frame.tsx';
import { SchemeField } from '../preview/scheme-field.tsx';
import {
  exampleCode,
  givenOptions,
  initialOptions,
  type ExampleControl,
  type LiveExampleDescription,
  type OptionValue,
} from './examples.ts';
import { marram } from './marram.ts';

interface LiveExampleProps {
  readonly example: LiveExampleDescription;
  readonly headingLevel: 2 | 3;
}

const narrowest = 280;
const widest = 1200;

/** A component at work: its options as controls, its code, and a frame whose width, scheme and direction one chooses. */
export function LiveExample({ example, headingLevel }: LiveExampleProps): ReactNode {
  const id = useId();
  const framework = useFramework();
  const [options, setOptions] = useState(() => initialOptions(example));
  const [width, setWidth] = useState<number | null>(null);
  const [scheme, setScheme] = useState('system');
  const [direction, setDirection] = useState('ltr');
  const message = useMemo(
    () => ({
      component: example.component,
      options: givenOptions(example, options),
      definition: marram,
      url: example.url,
      scheme,
      direction,
    }),
    [example, options, scheme, direction],
  );
  const Heading = `h${headingLevel}` as const;
  const set = (option: string, value: OptionValue) => setOptions((before) => ({ ...before, [option]: value }));
  return (
    <section className="live-example" aria-labelledby={`${id}-title`}>
      <Heading id={`${id}-title`}>Live example: {example.title.toLowerCase()}</Heading>
      <div className="controls">
        {example.controls.map((control) => (
          <Control key={control.option} control={control} value={options[control.option] ?? ''} onChange={set} />
        ))}
        <SchemeField value={scheme} onChange={setScheme} />
        <label>
          Direction
          <select className="field" value={direction} onChange={(event) => setDirection(event.target.value)}>
            <option value="ltr">Left to right</option>
            <option value="rtl">Right to left</option>
          </select>
        </label>
        <label className="width-control">
          Width: {width === null ? 'all' : `${width} pixels`}
          <input
            type="range"
            min={narrowest}
            max={widest}
            step={10}
            value={width ?? widest}
            onChange={(event) => {
              const value = Number(event.target.value);
              setWidth(value >= widest ? null : value);
            }}
          />
        </label>
      </div>
      <div className="preview-scroller">
        <PreviewFrame title={`${example.title}, live`} message={message} width={width} height={example.height} />
      </div>
      <Tabs
        tabs={frameworks}
        label={`Code of ${example.title.toLowerCase()}`}
        selected={framework}
        onSelect={chooseFramework}
      >
        <Tablist />
        {frameworks.map((one) => (
          <Tabpanel key={one.id} id={one.id}>
            <pre tabIndex={0}>
              <code>{exampleCode(example, options, one.id)}</code>
            </pre>
          </Tabpanel>
        ))}
      </Tabs>
    </section>
  );
}

interface ControlProps {
  readonly control: ExampleControl;
  readonly value: OptionValue;
  readonly onChange: (option: string, value: OptionValue) => void;
}

function Control({ control, value, onChange }: ControlProps): ReactNode {
  const { option, label, values } = control;
  if (!values) {
    return (
      <label className="check">
        <input type="checkbox" checked={value === true} onChange={(event) => onChange(option, event.target.checked)} />
        {label}
      </label>
    );
  }
  return (
    <label>
      {label}
      <select className="field" value={String(value)} onChange={(event) => onChange(option, event.target.value)}>
        {values.map((one) => (
          <option key={one} value={one}>
            {one === '' ? 'default' : one}
          </option>
        ))}
      </select>
    </label>
  );
}
