/** One morning's ringing, as the data desk has it. All of it is invented. */
export interface DeskSession {
  /** Stands in its address. */
  readonly slug: string;
  readonly label: string;
  readonly ringer: string;
  readonly rounds: readonly { readonly time: string; readonly birds: number }[];
  readonly checked: boolean;
}

const round = (time: string, birds: number) => ({ time, birds });

export const autumnSessions: readonly DeskSession[] = [
  {
    slug: '04-sep',
    label: '4 September',
    ringer: 'R. Quayle',
    checked: true,
    rounds: [round('06:10', 22), round('07:10', 36)],
  },
  {
    slug: '13-sep',
    label: '13 September',
    ringer: 'T. Lindqvist',
    checked: true,
    rounds: [round('06:20', 41), round('07:20', 53)],
  },
  { slug: '22-sep', label: '22 September', ringer: 'R. Quayle', checked: true, rounds: [round('06:40', 31)] },
  {
    slug: '03-oct',
    label: '3 October',
    ringer: 'M. Osei',
    checked: true,
    rounds: [round('06:50', 80), round('07:50', 63)],
  },
  {
    slug: '11-oct',
    label: '11 October',
    ringer: 'T. Lindqvist',
    checked: false,
    rounds: [round('07:05', 71), round('08:05', 58), round('09:05', 38)],
  },
  {
    slug: '25-oct',
    label: '25 October',
    ringer: 'I. Halloran',
    checked: false,
    rounds: [round('06:30', 49), round('07:30', 39)],
  },
];

export const springSessions: readonly DeskSession[] = [
  { slug: '28-mar', label: '28 March', ringer: 'R. Quayle', checked: true, rounds: [round('06:15', 14)] },
  {
    slug: '12-apr',
    label: '12 April',
    ringer: 'M. Osei',
    checked: true,
    rounds: [round('05:50', 26), round('06:50', 33)],
  },
  {
    slug: '30-apr',
    label: '30 April',
    ringer: 'T. Lindqvist',
    checked: true,
    rounds: [round('05:20', 44), round('06:20', 29)],
  },
];

export const rota = [
  ['Monday', 'R. Quayle', 'M. Osei'],
  ['Wednesday', 'T. Lindqvist', 'R. Quayle'],
  ['Saturday', 'I. Halloran', 'T. Lindqvist'],
] as const;

export const ringStock = [
  ['AA', 'Goldcrest, warblers', '1 140'],
  ['B', 'Snow bunting, reedling', '420'],
  ['D', 'Redshank', '86'],
  ['G', 'Curlew', '31'],
] as const;
