import { usualConditions } from 'fair-trail/internal/sheet';
import { createRoot } from 'react-dom/client';
import { SessionClient } from './session-client.ts';
import { messageOf } from './use-workbench.ts';
import { Workbench } from './workbench.tsx';

/** With what lies around the windows of the sheet, in CSS pixels. */
const panelWidth = 500;

const container = document.getElementById('workbench');
if (!container) throw new Error('The page has no element with the id "workbench".');
const token = document.querySelector<HTMLMetaElement>('meta[name="fair-trail-session"]')?.content ?? '';
fitWidth();
const client = new SessionClient(token);
const root = createRoot(container);
client.state().then(
  (state) => root.render(<Workbench client={client} initial={state} />),
  (error: unknown) => {
    root.render(
      <main className="ft-sheet">
        <h1>Workbench</h1>
        <p role="alert">{messageOf(error)}</p>
      </main>,
    );
  },
);

/** Beside the panel there is less room than in a window: the sheet begins as wide as can be seen whole. */
function fitWidth(): void {
  const { location, history, innerWidth } = window;
  const query = new URLSearchParams(location.search);
  const room = Math.floor((innerWidth - panelWidth) / 8) * 8;
  if (query.has('width') || room >= usualConditions.width) return;
  query.set('width', String(Math.max(320, room)));
  history.replaceState(history.state, '', `${location.pathname}?${query.toString()}${location.hash}`);
}
