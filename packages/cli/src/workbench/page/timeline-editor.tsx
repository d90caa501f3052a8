import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { NumberField } from './measure-row.tsx';

export interface TimelineEditorProps {
  readonly name: string;
  /** In milliseconds; null where it cannot be delayed. */
  readonly delay: number | null;
  readonly duration: number;
  /** How much time the track shows, in milliseconds. */
  readonly most: number;
  readonly onChange: (change: { readonly delay?: number; readonly duration?: number }) => void;
  readonly onLeave: () => void;
}

/** Times are set in steps, in milliseconds: no one sees less. */
const step = 10;

/** A bar on a track of time: it is dragged to begin later, and its end to take longer. */
export function TimelineEditor({ name, delay, duration, most, onChange, onLeave }: TimelineEditorProps): ReactNode {
  const track = useRef<HTMLDivElement>(null);
  const start = delay ?? 0;
  // What a length on the track is of time.
  const perPixel = () => most / Math.max(1, track.current?.clientWidth ?? 1);
  return (
    <div className="ft-workbench-timeline">
      <div ref={track} className="ft-workbench-times">
        <div
          className="ft-workbench-time"
          style={{ insetInlineStart: `${(start / most) * 100}%`, inlineSize: `${(duration / most) * 100}%` }}
        >
          {delay !== null && (
            <TimeSlider
              kind="body"
              label={`Delay of ${name.toLowerCase()}`}
              value={delay}
              most={most}
              perPixel={perPixel}
              onChange={(time) => onChange({ delay: time })}
              onLeave={onLeave}
            />
          )}
          <TimeSlider
            kind="end"
            label={`Duration of ${name.toLowerCase()}`}
            value={duration}
            most={most}
            perPixel={perPixel}
            onChange={(time) => onChange({ duration: time })}
            onLeave={onLeave}
          />
        </div>
      </div>
      <div className="ft-workbench-line">
        {delay !== null && (
          <label>
            after{' '}
            <NumberField
              label={`Delay of ${name.toLowerCase()}, in milliseconds`}
              value={delay}
              step={step}
              min={0}
              onChange={(time) => onChange({ delay: time })}
              onLeave={onLeave}
            />{' '}
            ms
          </label>
        )}
        <label>
          for{' '}
          <NumberField
            label={`Duration of ${name.toLowerCase()}, in milliseconds`}
            value={duration}
            step={step}
            min={0}
            onChange={(time) => onChange({ duration: time })}
            onLeave={onLeave}
          />{' '}
          ms
        </label>
      </div>
    </div>
  );
}

interface TimeSliderProps {
  readonly kind: 'body' | 'end';
  readonly label: string;
  /** In milliseconds. */
  readonly value: number;
  readonly most: number;
  /** How many milliseconds a CSS pixel of the track is, as it is drawn now. */
  readonly perPixel: () => number;
  readonly onChange: (time: number) => void;
  readonly onLeave: () => void;
}

function rounded(time: number): number {
  return Math.max(0, Math.min(10_000, Math.round(time / step) * step));
}

/** A part of the bar that is dragged, or moved by keys (WAI-ARIA APG, the slider pattern). */
function TimeSlider({ kind, label, value, most, perPixel, onChange, onLeave }: TimeSliderProps): ReactNode {
  const drag = useRef<{ readonly x: number; readonly from: number } | null>(null);
  const onPointerMove = (event: PointerEvent<HTMLElement>) => {
    if (!drag.current) return;
    const direction = getComputedStyle(event.currentTarget).direction === 'rtl' ? -1 : 1;
    onChange(rounded(drag.current.from + direction * (event.clientX - drag.current.x) * perPixel()));
  };
  const onKeyDown = (event: KeyboardEvent<HTMLElement>) => {
    const steps: Readonly<Record<string, number>> = {
      ArrowLeft: -step,
      ArrowDown: -step,
      ArrowRight: step,
      ArrowUp: step,
      PageDown: -10 * step,
      PageUp: 10 * step,
    };
    const by = event.key === 'Home' ? -value : steps[event.key];
    if (by === undefined) return;
    event.preventDefault();
    onChange(rounded(value + by));
  };
  return (
    <span
      className={`ft-workbench-time-${kind}`}
      role="slider"
      tabIndex={0}
      aria-label={label}
      aria-valuenow={value}
      aria-valuemin={0}
      aria-valuemax={Math.max(most, value)}
      aria-valuetext={`${value} milliseconds`}
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        drag.current = { x: event.clientX, from: value };
      }}
      onPointerMove={onPointerMove}
      onPointerUp={() => {
        drag.current = null;
        onLeave();
      }}
      onPointerCancel={() => (drag.current = null)}
      onBlur={onLeave}
      onKeyDown={onKeyDown}
    />
  );
}
