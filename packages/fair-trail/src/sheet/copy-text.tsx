import { useId, useRef, useState, type ReactNode } from 'react';

/** A text to take along: to be read, selected and copied, also where the clipboard is refused. */
export function CopyText({
  label,
  text,
  rows = 8,
}: {
  readonly label: string;
  readonly text: string;
  readonly rows?: number;
}): ReactNode {
  const id = useId();
  const field = useRef<HTMLTextAreaElement>(null);
  const [said, setSaid] = useState('');
  const copy = () => {
    field.current?.select();
    // Absent where the page is not secure, and refused where the reader says so.
    const clipboard = (navigator as Partial<Navigator>).clipboard;
    const copied = clipboard ? clipboard.writeText(text) : Promise.reject(new Error('no clipboard'));
    copied.then(
      () => setSaid('Copied.'),
      () => setSaid('The browser refuses its clipboard. The text is selected: copy it with the keyboard.'),
    );
  };
  return (
    <div className="ft-sheet-copy">
      <label htmlFor={id}>{label}</label>
      <textarea
        id={id}
        ref={field}
        readOnly
        rows={Math.min(rows, text.split('\n').length)}
        value={text}
        spellCheck={false}
      />
      <button type="button" data-ft-button="plain" onClick={copy}>
        Copy
      </button>{' '}
      <span role="status">{said}</span>
    </div>
  );
}
