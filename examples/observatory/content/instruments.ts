/** What the instruments on the point measured. Invented, as everything here. */
export const gauge = [
  { at: '05:00', level: '0.4 m' },
  { at: '06:00', level: '1.1 m' },
  { at: '07:00', level: '1.9 m' },
  { at: '08:00', level: '2.3 m' },
  { at: '09:00', level: '2.0 m' },
  { at: '10:00', level: '1.2 m' },
] as const;

export const mast = [
  { name: 'Wind', value: 'north-west, 6 to 7' },
  { name: 'Gusts', value: '58 km/h' },
  { name: 'Air', value: '7.5 °C' },
  { name: 'Visibility', value: '11 km, less in showers' },
  { name: 'Pressure', value: '1004 hPa, falling' },
] as const;
