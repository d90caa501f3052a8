import { useRef, type KeyboardEvent, type PointerEvent, type ReactNode } from 'react';
import { Button } from './fields.tsx';
import { NumberField } from './measure-row.tsx';

/** The four numbers of a curve (CSS Easing 2, section 2.2). */
export type Curve = readonly [number, number, number, number];

export interface CurveEditorProps {
  readonly name: string;
  readonly curve: Curve;
  readonly onChange: (curve: Curve) => void;
  readonly onLeave: () => void;
}

/** The curves that CSS has names for (CSS Easing 2, section 2.2.1). */
const presets: Readonly<Record<string, Curve>> = {
  linear: [0, 0, 1, 1],
  ease: [0.25, 0.1, 0.25, 1],
  'ease-in': [0.42, 0, 1, 1],
  'ease-out': [0, 0, 0.58, 1],
  'ease-in-out': [0.42, 0, 0.58, 1],
};

/** How much of the drawing is above and below what is reached: a curve may go beyond both. */
const overshoot = 0.5;
const step = 0.05;

/** The curve of a movement, with a handle at each of its ends. */
export function CurveEditor({ name, curve, onChange, onLeave }: CurveEditorProps): ReactNode {
  const drawing = useRef<SVGSVGElement>(null);
  const dragged = useRef<0 | 2 | null>(null);
  const [x1, y1, x2, y2] = curve;
  const set = (index: 0 | 2, x: number, y: number) => {
    const round = (number: number) => Math.round(number * 100) / 100;
    const next: [number, number, number, number] = [...curve];
    next[index] = round(Math.min(1, Math.max(0, x)));
    next[index + 1] = round(Math.min(1 + overshoot, Math.max(-overshoot, y)));
    onChange(next);
  };
  const onPointerMove = (event: PointerEvent<SVGElement>) => {
    const box = drawing.current?.getBoundingClientRect();
    if (dragged.current === null || !box) return;
    const y = 1 + overshoot - ((event.clientY - box.top) / box.height) * (1 + 2 * overshoot);
    set(dragged.current, (event.clientX - box.left) / box.width, y);
  };
  const handle = (index: 0 | 2, x: number, y: number) => (
    <circle
      key={index}
      cx={x}
      cy={1 - y}
      r={0.06}
      role="slider"
      tabIndex={0}
      aria-label={`${index === 0 ? 'First' : 'Second'} handle of the curve of ${name.toLowerCase()}`}
      aria-valuenow={x}
      aria-valuemin={0}
      aria-valuemax={1}
      aria-valuetext={`time ${x}, progress ${y}`}
      className="ft-workbench-handle"
      onPointerDown={(event) => {
        event.currentTarget.setPointerCapture(event.pointerId);
        dragged.current = index;
      }}
      onPointerMove={onPointerMove}
      onPointerUp={() => {
        dragged.current = null;
        onLeave();
      }}
      onBlur={onLeave}
      onKeyDown={(event: KeyboardEvent) => {
        const moves: Readonly<Record<string, readonly [number, number]>> = {
          ArrowLeft: [-step, 0],
          ArrowRight: [step, 0],
          ArrowUp: [0, step],
          ArrowDown: [0, -step],
        };
        const move = moves[event.key];
        if (!move) return;
        event.preventDefault();
        set(index, x + move[0], y + move[1]);
      }}
    />
  );
  return (
    <div className="ft-workbench-curve">
      <svg
        ref={drawing}
        viewBox={`0 ${-overshoot} 1 ${1 + 2 * overshoot}`}
        role="group"
        aria-label={`Curve of ${name.toLowerCase()}`}
      >
        <rect x={0} y={0} width={1} height={1} className="ft-workbench-curve-room" />
        <path d={`M0 1 L${x1} ${1 - y1} M1 0 L${x2} ${1 - y2}`} className="ft-workbench-curve-arm" />
        <path d={`M0 1 C${x1} ${1 - y1} ${x2} ${1 - y2} 1 0`} className="ft-workbench-curve-line" />
        {handle(0, x1, y1)}
        {handle(2, x2, y2)}
      </svg>
      <div>
        <div className="ft-workbench-buttons" role="group" aria-label={`Curves by name, for ${name.toLowerCase()}`}>
          {Object.entries(presets).map(([preset, value]) => (
            <Button key={preset} isPressed={value.join() === curve.join()} onClick={() => onChange(value)}>
              {preset}
            </Button>
          ))}
        </div>
        <div className="ft-workbench-line" role="group" aria-label={`Numbers of the curve of ${name.toLowerCase()}`}>
          {curve.map((number, index) => (
            <NumberField
              // Each number is known by its place.
              key={['x1', 'y1', 'x2', 'y2'][index]}
              label={`${['x1', 'y1', 'x2', 'y2'][index] ?? ''} of ${name.toLowerCase()}`}
              value={number}
              step={0.05}
              {...(index % 2 === 0 && { min: 0, max: 1 })}
              onChange={(value) =>
                onChange(curve.map((other, place) => (place === index ? value : other)) as unknown as Curve)
              }
              onLeave={onLeave}
            />
          ))}
        </div>
      </div>
    </div>
  );
}
