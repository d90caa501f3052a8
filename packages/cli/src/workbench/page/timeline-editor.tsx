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
  const drag = useRef<{ readonly x: number; readonly from: number } | null>(null);
  const start = delay ?? 0;
  const rounded = (time: number) => Math.max(0, Math.min(10_000, Math.round(time / step) * step));
  const handle = (value: number, change: (time: number) => void) => ({
    onPointerDown: (event: PointerEvent<HTMLElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      drag.current = { x: event.clientX, from: value };
    },
    onPointerMove: (event: PointerEvent<HTMLElement>) => {
      const width = track.current?.clientWidth ?? 0;
      if (!drag.current || width === 0) return;
      const direction = getComputedStyle(event.currentTarget).direction === 'rtl' ? -1 : 1;
      change(rounded(drag.current.from + (direction * (event.clientX - drag.current.x) * most) / width));
    },
    onPointerUp: () => {
      drag.current = null;
      onLeave();
    },
    onPointerCancel: () => (drag.current = null),
    onBlur: onLeave,
    onKeyDown: (event: KeyboardEvent<HTMLElement>) => {
      const steps: Readonly<Record<string, number>> = {
        ArrowLeft: -step,
        ArrowDown: -step,
        ArrowRight: step,
        ArrowUp: step,
        PageDown: -10 * step,
        PageUp: 10 * step,
      };
      const by = steps[event.key];
      if (by === undefined && event.key !== 'Home') return;
      event.preventDefault();
      change(rounded(by === undefined ? 0 : value + by));
    },
  });
  const slider = (value: number, label: string) => ({
    role: 'slider',
    tabIndex: 0,
    'aria-label': label,
    'aria-valuenow': value,
    'aria-valuemin': 0,
    'aria-valuemax': Math.max(most, value),
    'aria-valuetext': `${value} milliseconds`,
  });
  return (
    <div className="ft-workbench-timeline">
      <div ref={track} className="ft-workbench-times">
        <div
          className="ft-workbench-time"
          style={{ insetInlineStart: `${(start / most) * 100}%`, inlineSize: `${(duration / most) * 100}%` }}
        >
          {delay !== null && (
            <span
              className="ft-workbench-time-body"
              {...slider(delay, `Delay of ${name.toLowerCase()}`)}
              {...handle(delay, (time) => onChange({ delay: time }))}
            />
          )}
          <span
            className="ft-workbench-time-end"
            {...slider(duration, `Duration of ${name.toLowerCase()}`)}
            {...handle(duration, (time) => onChange({ duration: time }))}
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
