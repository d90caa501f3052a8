/** What the front page shows for one invented day. */
export const today = {
  date: 'Monday 23 November 2026',
  weather: 'North-west 4, showers clearing by noon, 7 °C',
  highWater: ['05:52', '18:14'],
  causeway: { opens: '08:40', closes: '15:20' },
  sightings: [
    { time: '07:10', slug: 'brent-goose', count: 1120, place: 'Inner bar', observer: 'I. Halloran' },
    { time: '07:35', slug: 'snow-bunting', count: 19, place: 'The point', observer: 'M. Osei' },
    { time: '08:05', slug: 'purple-sandpiper', count: 6, place: 'Below the light', observer: 'T. Lindqvist' },
    { time: '08:50', slug: 'bearded-reedling', count: 12, place: 'Reedbed', observer: 'R. Quayle' },
    { time: '09:15', slug: 'curlew', count: 264, place: 'Saltmarsh', observer: 'I. Halloran' },
  ],
} as const;

/** The tides of an invented week: times of high water, its height in metres, and when the causeway can be crossed. */
export const tides = [
  { day: 'Mon 23', morning: '05:52', evening: '18:14', height: 4.6, crossing: '08:40 to 15:20' },
  { day: 'Tue 24', morning: '06:34', evening: '18:57', height: 4.9, crossing: '09:25 to 16:00' },
  { day: 'Wed 25', morning: '07:15', evening: '19:40', height: 5.1, crossing: '10:10 to 16:35' },
  { day: 'Thu 26', morning: '07:58', evening: '20:25', height: 5.2, crossing: '10:55 to 17:15' },
  { day: 'Fri 27', morning: '08:43', evening: '21:12', height: 5.0, crossing: '11:45 to 17:55' },
  { day: 'Sat 28', morning: '09:31', evening: '22:04', height: 4.7, crossing: '12:35 to 18:40' },
  { day: 'Sun 29', morning: '10:26', evening: '23:03', height: 4.3, crossing: '13:30 to 19:30' },
] as const;

/** The autumn's ringing sessions, invented. */
export const sessions = [
  { date: '4 September', nets: 6, birds: 58, newBirds: 51, note: 'Willow warblers leaving' },
  { date: '13 September', nets: 8, birds: 94, newBirds: 90, note: 'First yellow-browed warbler' },
  { date: '22 September', nets: 4, birds: 31, newBirds: 29, note: 'Stopped by rain at nine' },
  { date: '3 October', nets: 9, birds: 143, newBirds: 137, note: 'Goldcrests in from the sea' },
  { date: '11 October', nets: 9, birds: 167, newBirds: 158, note: 'Two more yellow-browed warblers' },
  { date: '25 October', nets: 7, birds: 88, newBirds: 80, note: 'Blackbirds and redwings at dawn' },
] as const;

/** Ringed birds that were found again elsewhere, invented. */
export const recoveries = [
  { ring: 'MP 20417', bird: 'Curlew', ringed: 'September 2019', found: 'Tideway Flats, 840 km, alive' },
  { ring: 'MP 31180', bird: 'Little tern', ringed: 'July 2023', found: 'Ilha Sul lagoon, 4 120 km, ring read' },
  { ring: 'MP 33052', bird: 'Goldcrest', ringed: 'October 2025', found: 'Northness Light, 610 km, caught' },
] as const;
