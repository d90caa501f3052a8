import { autumnSessions, springSessions, type DeskSession } from '../../observatory/content/desk.ts';

/** The sessions of the season that an entry belongs to, by its id. */
export const sessionsOf = (id: string): readonly DeskSession[] =>
  id.startsWith('season-autumn') ? autumnSessions : springSessions;
