import type { ReactNode } from 'react';
import { hides } from '../../../observatory/content/hides.ts';

/** Where each hide stands on the drawing, and on which side its name has room. */
const places: Readonly<Record<string, { readonly x: number; readonly y: number; readonly side: 'start' | 'end' }>> = {
  'causeway-hide': { x: 96, y: 196, side: 'start' },
  'saltmarsh-hide': { x: 176, y: 132, side: 'start' },
  'reedbed-hide': { x: 214, y: 216, side: 'start' },
  'lantern-room': { x: 352, y: 92, side: 'end' },
};

/** A sketch of the island with its hides; the one that the page is about is filled. */
export function PointMap({ here }: { readonly here?: string }): ReactNode {
  const name = hides.find(({ id }) => id === here)?.name;
  return (
    <svg
      className="point-map"
      viewBox="0 0 460 290"
      role="img"
      aria-label={name ? `Map of the point with the ${name}` : 'Map of the point with its four hides'}
    >
      <path className="contour" d="M8 262c60-30 70-140 150-186S330 6 404 40s26 120-40 168-236 92-356 54z" />
      <path className="contour" d="M30 250c56-30 72-122 142-164s152-62 208-34 22 100-34 138-206 84-316 60z" />
      <path className="land" d="M52 238c44-22 72-104 130-138s128-50 172-28 20 78-26 110-172 72-276 56z" />
      <path className="contour" d="M96 226c36-24 60-74 104-100s92-38 126-22 12 50-26 74-126 52-204 48z" />
      <path className="contour" d="M150 208c22-16 44-46 74-62s58-22 76-12 4 28-20 42-78 32-130 32z" />
      {hides.map((hide) => {
        const place = places[hide.id];
        if (!place) return null;
        const isHere = hide.id === here;
        return (
          <g key={hide.id}>
            <path className={isHere ? 'hide hide-here' : 'hide'} d={`M${place.x - 5} ${place.y - 10}h10v20h-10z`} />
            <text
              x={place.side === 'start' ? place.x + 14 : place.x - 14}
              y={place.y + 4}
              textAnchor={place.side}
              fontWeight={isHere ? 700 : 400}
            >
              {hide.name}
            </text>
          </g>
        );
      })}
    </svg>
  );
}
