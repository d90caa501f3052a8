import type { ReactNode } from 'react';
import {
  Binoculars,
  Bird,
  CalendarDays,
  CircleDot,
  FileBadge,
  Footprints,
  Sprout,
  Wheat,
  Lightbulb,
  Gauge,
  Grid3x3,
  Inbox,
  Info,
  ListChecks,
  Map,
  NotebookPen,
  Sun,
  Users,
  Waves,
  type LucideIcon,
} from 'lucide-react';

/** The drawing of each name that the site file has. */
const drawings: Readonly<Record<string, LucideIcon>> = {
  binoculars: Binoculars,
  bird: Bird,
  calendar: CalendarDays,
  'circle-dot': CircleDot,
  'file-badge': FileBadge,
  footprints: Footprints,
  sprout: Sprout,
  wheat: Wheat,
  lightbulb: Lightbulb,
  gauge: Gauge,
  grid: Grid3x3,
  inbox: Inbox,
  info: Info,
  'list-checks': ListChecks,
  map: Map,
  notebook: NotebookPen,
  sun: Sun,
  users: Users,
  waves: Waves,
};

export function icon(name: string): ReactNode {
  const Drawing = drawings[name];
  // One stroke for all, in the size of the text beside them.
  return Drawing && <Drawing className="icon" aria-hidden size="1.25em" strokeWidth={1.75} />;
}
