import type { ReactNode } from 'react';

interface SchemeFieldProps {
  readonly value: string;
  readonly onChange: (scheme: string) => void;
}

/** Chooses the color scheme of a preview. */
export function SchemeField({ value, onChange }: SchemeFieldProps): ReactNode {
  return (
    <label>
      Color scheme
      <select className="field" value={value} onChange={(event) => onChange(event.target.value)}>
        <option value="system">System default</option>
        <option value="light">Light</option>
        <option value="dark">Dark</option>
      </select>
    </label>
  );
}
