import { memo, type ReactNode, useCallback, useMemo, useRef, useState } from 'react';
import { itemKey } from '../core/view/menu-view.ts';
import { isSeen } from '../dom/focus.ts';
import { Navbar } from '../react/navbar.tsx';
import { Sidebar } from '../react/sidebar.tsx';
import { DrawnView } from '../react/printed-view.tsx';
import { Choice } from './condition-fields.tsx';
import { Frame } from './frame.tsx';
import { movingParts, type MovingPart } from './motion-parts.ts';
import { useSheet } from './sheet-context.ts';
import { drawnSize } from './whole-page.tsx';
import { lengthOf, movementOf, type Transit } from './timeline.ts';

/** How fast it plays: as it is, at half speed, at a tenth. */
const speeds = ['1', '0.5', '0.1'] as const;

interface Timeline {
  readonly opening: readonly Transit[];
  readonly closing: readonly Transit[];
  /** Whether the page in the frame shows the control that opens it. */
  readonly isThere: boolean;
}

/** How each part opens and closes, as the browser would do it now, and a page to see it on. */
export const Motion = memo(function Motion(): ReactNode {
  const sheet = useSheet();
  const { menus, itemsOf, wording, icon, site, annex, slots, conditions } = sheet;
  const barItems = itemsOf(menus.bar);
  const sidebarItems = itemsOf(menus.sidebar);
  const parts = useMemo(
    () =>
      movingParts({
        site,
        wording,
        icons: icon !== undefined,
        brand: false,
        narrow: false,
        barItems,
        sidebarItems,
        annex,
      }),
    [site, wording, icon, barItems, sidebarItems, annex],
  );
  const [timelines, setTimelines] = useState<ReadonlyMap<string, Timeline>>(new Map());
  const [speed, setSpeed] = useState<(typeof speeds)[number]>('1');
  const [held, setHeld] = useState('');
  const [expanded, setExpanded] = useState<boolean | undefined>(undefined);
  const page = useRef<Document | null>(null);
  const rate = useRef(1);
  const look = useCallback(
    (document: Document) => {
      if (page.current !== document) playAt(document, rate);
      page.current = document;
      setTimelines(new Map(parts.map((part) => [part.name, timelineOf(document, part)])));
    },
    [parts],
  );
  const slowDown = (next: (typeof speeds)[number]) => {
    rate.current = Number(next);
    setSpeed(next);
  };
  const play = (part: MovingPart) => {
    const press = () => page.current?.querySelector<HTMLElement>(`.ft-sheet-play ${part.control}`)?.click();
    press();
    const open = lengthOf(timelines.get(part.name)?.opening ?? []);
    setTimeout(press, (open + pause) / rate.current);
  };
  const holders = barItems.filter((item) => item.items.length > 0);
  const longest = Math.max(
    1,
    ...[...timelines.values()].flatMap(({ opening, closing }) => [lengthOf(opening), lengthOf(closing)]),
  );
  return (
    <>
      <div className="ft-sheet-line">
        <Choice label="Speed" value={speed} options={speeds} onChange={slowDown} />
        <label className="ft-sheet-field">
          <span>Hold open</span>
          <select value={held} onChange={({ target }) => setHeld(target.value)}>
            <option value="">nothing</option>
            {holders.map((item) => (
              <option key={itemKey(item)} value={itemKey(item)}>
                {item.label}
              </option>
            ))}
          </select>
        </label>
        <label className="ft-sheet-check">
          <input
            type="checkbox"
            checked={expanded === true}
            onChange={({ target }) => setExpanded(target.checked ? true : undefined)}
          />
          Hold what is behind a toggle open
        </label>
      </div>
      <div className="ft-sheet-wide" tabIndex={0} role="region" aria-label="Timelines">
        <table className="ft-sheet-figures">
          <thead>
            <tr>
              <th scope="col">Part</th>
              <th scope="col">Opening, {Math.round(longest)} ms across</th>
              <th scope="col">Closing</th>
              <th scope="col">Play</th>
            </tr>
          </thead>
          <tbody>
            {parts.map((part) => {
              const timeline = timelines.get(part.name);
              return (
                <tr key={part.name} data-ft-motion={part.name}>
                  <th scope="row">{part.title}</th>
                  <td>{timeline && <Bars transits={timeline.opening} longest={longest} />}</td>
                  <td>{timeline && <Bars transits={timeline.closing} longest={longest} />}</td>
                  <td>
                    {timeline?.isThere === true ? (
                      <button
                        type="button"
                        data-ft-button="plain"
                        aria-label={`Play: ${part.title}`}
                        onClick={() => play(part)}
                      >
                        Play
                      </button>
                    ) : (
                      'not at this width'
                    )}
                  </td>
                </tr>
              );
            })}
          </tbody>
        </table>
      </div>
      <div className="ft-sheet-drawn" style={drawnSize(conditions)}>
        <Frame title="A page to play on" name="motion" height={440} onReady={look}>
          <div hidden className="ft-sheet-moving">
            {parts.map((part) => (
              <div key={part.name} data-ft-moving={part.name}>
                <DrawnView view={part.opening} slots={slots} />
                <DrawnView view={part.closing} slots={slots} />
              </div>
            ))}
          </div>
          <div className="ft-sheet-play">
            <Navbar
              key={String(expanded)}
              menu={menus.bar}
              brand={sheet.brand}
              {...(expanded !== undefined && { expanded })}
              {...(held !== '' && { held })}
              {...(icon && { icon })}
            />
            <Sidebar
              key={`sidebar ${String(expanded)}`}
              menu={menus.sidebar}
              name="sheet-motion"
              rail
              annex={annex}
              {...(expanded !== undefined && { expanded })}
              {...(icon && { icon })}
            />
          </div>
        </Frame>
      </div>
    </>
  );
});

/** Between opening and closing, in milliseconds at full speed: long enough to see that it is open. */
const pause = 500;

function timelineOf(document: Document, { name, find, control }: MovingPart): Timeline {
  const { defaultView: window } = document;
  const [opening, closing] = document.querySelector(`[data-ft-moving='${name}']`)?.children ?? [];
  const movement = (drawn: Element | undefined) => {
    const element = drawn?.querySelector(find);
    return element && window ? movementOf(window.getComputedStyle(element)) : [];
  };
  const pressed = document.querySelector(`.ft-sheet-play ${control}`);
  return {
    opening: movement(opening),
    closing: movement(closing),
    isThere: pressed !== null && isSeen(pressed),
  };
}

/** Whatever begins to move in the document does so at the rate of the moment. */
function playAt(document: Document, rate: { readonly current: number }): void {
  const slow = ({ target }: Event) => {
    for (const animation of (target as Element).getAnimations({ subtree: true })) animation.playbackRate = rate.current;
  };
  for (const type of ['transitionrun', 'animationstart']) document.addEventListener(type, slow, { capture: true });
}

function Bars({ transits, longest }: { readonly transits: readonly Transit[]; readonly longest: number }): ReactNode {
  if (transits.length === 0) return <span className="ft-sheet-none">at once</span>;
  return (
    <ul className="ft-sheet-timeline">
      {transits.map(({ property, delay, duration, easing }) => (
        <li key={property}>
          <span>
            {property} <b>{duration} ms</b>
            {delay > 0 && ` after ${delay} ms`}, {easing}
          </span>
          <svg viewBox="0 0 100 6" preserveAspectRatio="none" aria-hidden="true">
            <rect className="ft-sheet-delay" width={(delay / longest) * 100} height="6" />
            <rect x={(delay / longest) * 100} width={(duration / longest) * 100} height="6" />
          </svg>
        </li>
      ))}
    </ul>
  );
}
