import { measureTokens, type MeasureToken } from 'fair-trail/internal/core';
import type { ReactNode } from 'react';
import { valueAt } from '../model/json-text.ts';
import { emptyTokens, resetToken, setMeasure } from '../model/token-edits.ts';
import { CurveEditor, type Curve } from './curve-editor.tsx';
import { Button } from './fields.tsx';
import { TimelineEditor } from './timeline-editor.tsx';
import type { WorkbenchModel } from './use-workbench.ts';

/** One thing that moves: which tokens say when it begins, how long it takes, and how. */
interface MotionTrack {
  readonly title: string;
  readonly duration: string;
  readonly delay: string | null;
  readonly easing: string | null;
  readonly what: string;
}

const tracks: readonly MotionTrack[] = [
  {
    title: 'Opening',
    duration: 'open',
    delay: 'open-delay',
    easing: 'open-easing',
    what: 'of a panel, a menu, a sidebar',
  },
  {
    title: 'Content, second phase',
    duration: 'content',
    delay: 'content-delay',
    easing: null,
    what: 'of what is in a panel: it appears in the frame that opens, by the same curve',
  },
  {
    title: 'Closing',
    duration: 'close',
    delay: 'close-delay',
    easing: 'close-easing',
    what: 'of the same on its way out',
  },
  { title: 'Under the pointer', duration: 'calm', delay: null, easing: null, what: 'of colors and signs' },
];

/** When things open and close, and how they move on the way. */
export function MotionPanel({ model }: { readonly model: WorkbenchModel }): ReactNode {
  const { session, dispatch } = model;
  const text = session.history.present.tokens ?? emptyTokens;
  const settle = () => dispatch({ type: 'settle' });
  const edit = (next: string, label: string, key?: string) => {
    dispatch({ type: 'edit', texts: { tokens: next }, label, ...(key !== undefined && { key }) });
  };
  if (!model.read.isTokensJson) {
    return (
      <div className="ft-workbench-body">
        <p className="ft-workbench-fault">The tokens file is not JSON. Correct it in your editor: this page follows.</p>
      </div>
    );
  }
  const times = tracks.map(({ duration, delay }) => ({
    duration: timeOf(text, duration),
    delay: delay === null ? 0 : timeOf(text, delay),
  }));
  const most = Math.max(600, ...times.map(({ duration, delay }) => Math.ceil((duration + delay) / 200) * 200 + 200));
  return (
    <div className="ft-workbench-body">
      <p className="ft-workbench-hint">
        Drag a bar to delay it and its end to make it longer, or use arrow keys on either. All tracks are {most} ms
        long. Play them, at full speed or in slow motion, in <a href="#sheet-motion">the section Motion of the sheet</a>
        .
      </p>
      {tracks.map((track, index) => {
        const { title, duration, delay, easing, what } = track;
        const time = times[index] ?? { duration: 0, delay: 0 };
        const names = [delay, duration, easing].filter((name) => name !== null);
        const isWritten = names.some((name) => valueAt(text, pathOfToken(name)) !== undefined);
        const setTimes = (next: { readonly delay?: number; readonly duration?: number }) => {
          let changed = text;
          if (next.duration !== undefined) changed = setTime(changed, duration, next.duration);
          if (next.delay !== undefined && delay !== null) changed = setTime(changed, delay, next.delay);
          const part = next.duration === undefined ? 'delay' : 'duration';
          edit(changed, `${part} of ${title.toLowerCase()}`, `${part} ${title}`);
        };
        return (
          <section key={title} className="ft-workbench-track" aria-labelledby={`workbench-track-${duration}`}>
            <h3 id={`workbench-track-${duration}`}>{title}</h3>
            <p className="ft-workbench-hint">{what}</p>
            <TimelineEditor
              name={title}
              delay={delay === null ? null : time.delay}
              duration={time.duration}
              most={most}
              onChange={setTimes}
              onLeave={settle}
            />
            {easing !== null && (
              <CurveEditor
                name={title}
                curve={curveOf(text, easing)}
                onChange={(curve) => {
                  edit(setMeasure(text, tokenNamed(easing), curve), `easing of ${title.toLowerCase()}`, easing);
                }}
                onLeave={settle}
              />
            )}
            {isWritten && (
              <Button
                label={`Reset ${title}`}
                onClick={() => {
                  edit(
                    names.reduce((next, name) => resetToken(next, pathOfToken(name)), text),
                    `reset ${title.toLowerCase()}`,
                  );
                }}
              >
                Reset
              </Button>
            )}
          </section>
        );
      })}
    </div>
  );
}

function tokenNamed(name: string): MeasureToken {
  const token = measureTokens.find((each) => each.section === 'motion' && each.name === name);
  if (!token) throw new Error(`There is no token "${name}".`);
  return token;
}

function pathOfToken(name: string): readonly [string, string] {
  return [tokenNamed(name).group, name];
}

/** In milliseconds. */
function timeOf(text: string, name: string): number {
  const { value, unit } = (valueAt(text, [...pathOfToken(name), '$value']) ?? {}) as {
    readonly value?: unknown;
    readonly unit?: unknown;
  };
  if (typeof value === 'number') return unit === 's' ? value * 1000 : value;
  return Number.parseFloat(tokenNamed(name).usual ?? '0');
}

/** In the unit in which it is written. */
function setTime(text: string, name: string, milliseconds: number): string {
  const unit = valueAt(text, [...pathOfToken(name), '$value', 'unit']);
  const value = unit === 's' ? { value: milliseconds / 1000, unit } : { value: milliseconds, unit: 'ms' };
  return setMeasure(text, tokenNamed(name), value);
}

function curveOf(text: string, name: string): Curve {
  const value = valueAt(text, [...pathOfToken(name), '$value']);
  const isCurve = Array.isArray(value) && value.length === 4 && value.every((each) => typeof each === 'number');
  return isCurve ? (value as unknown as Curve) : [0.25, 0.1, 0.25, 1];
}
