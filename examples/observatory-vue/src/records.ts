import { autumnSessions, springSessions, type DeskSession } from '../../observatory/content/desk.ts';
import { speciesRecords } from '../../observatory/content/species.ts';

const sessionRecords = (sessions: readonly DeskSession[]) =>
  sessions.map(({ slug, label }) => ({ params: { session: slug }, label }));
export const records = {
  species: speciesRecords,
  'autumn-sessions': sessionRecords(autumnSessions),
  'spring-sessions': sessionRecords(springSessions),
};
/** What has come in since the last visit. */
export const badges = {
  'desk-check': { text: '2', spoken: '2 sessions' },
  'log-sessions': { text: '3', spoken: '3 new sessions' },
};
