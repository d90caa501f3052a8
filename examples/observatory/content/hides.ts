/** One hide. All details are invented. */
export interface Hide {
  /** That of its entry in the site file. */
  readonly id: 'causeway-hide' | 'saltmarsh-hide' | 'reedbed-hide' | 'lantern-room';
  readonly name: string;
  readonly seats: number;
  readonly best: string;
  readonly path: string;
  readonly text: string;
}

export const hides: readonly Hide[] = [
  {
    id: 'causeway-hide',
    name: 'Causeway Hide',
    seats: 14,
    best: 'Two hours either side of high water',
    path: '300 m, firm gravel, level',
    text: 'Looks over the inner bar, where the waders crowd as the water rises. The low windows are at wheelchair height.',
  },
  {
    id: 'saltmarsh-hide',
    name: 'Saltmarsh Hide',
    seats: 8,
    best: 'Dusk, from October',
    path: '900 m, boardwalk, one ramp',
    text: 'The place for roosting curlew and hunting harriers. Bring a torch for the way back; the boardwalk is not lit.',
  },
  {
    id: 'reedbed-hide',
    name: 'Reedbed Hide',
    seats: 6,
    best: 'Still mornings',
    path: '550 m, boardwalk, level',
    text: 'Small, quiet and close. Reedlings and water rails cross the gap in front of the window if no one speaks.',
  },
  {
    id: 'lantern-room',
    name: 'Lantern Room',
    seats: 5,
    best: 'North winds, September and October',
    path: '71 steps inside the old light',
    text: 'Seawatching behind glass, forty metres above the tide race. Ask at the door for the key and the visitors’ telescope.',
  },
];
