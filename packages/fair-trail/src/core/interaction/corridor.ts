export interface Point {
  readonly x: number;
  readonly y: number;
}

/** A box as the CSSOM View module gives it, in CSS pixels. */
export interface Rectangle {
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/**
 * Whether a pointer is in the corridor from where it left a trigger to the panel: the triangle between that point and
 * the far ends of the panel's nearest edge, or the panel itself. Someone who goes to the panel in a straight line stays
 * in it, even across other triggers.
 */
export function isInCorridor(point: Point, from: Point, panel: Rectangle): boolean {
  if (isInBox(point, panel)) return true;
  const [one, other] = nearestEdge(from, panel);
  return isInTriangle(point, from, one, other);
}

function isInBox({ x, y }: Point, { left, top, right, bottom }: Rectangle): boolean {
  return x >= left && x <= right && y >= top && y <= bottom;
}

function nearestEdge(from: Point, { left, top, right, bottom }: Rectangle): readonly [Point, Point] {
  if (from.y < top)
    return [
      { x: left, y: top },
      { x: right, y: top },
    ];
  if (from.y > bottom)
    return [
      { x: left, y: bottom },
      { x: right, y: bottom },
    ];
  const x = from.x < left ? left : right;
  return [
    { x, y: top },
    { x, y: bottom },
  ];
}

/** Pointers report whole pixels, so a step of a straight way may lie beside it by as much. In CSS pixels. */
const rounding = 1;

function isInTriangle(point: Point, one: Point, two: Point, three: Point): boolean {
  const distances = [distance(point, one, two), distance(point, two, three), distance(point, three, one)];
  return distances.every((value) => value >= -rounding) || distances.every((value) => value <= rounding);
}

/** How far a point lies from the line through two others; its sign tells on which side. */
function distance(point: Point, from: Point, to: Point): number {
  const cross = (point.x - to.x) * (from.y - to.y) - (from.x - to.x) * (point.y - to.y);
  return cross / (Math.hypot(from.x - to.x, from.y - to.y) || 1);
}
