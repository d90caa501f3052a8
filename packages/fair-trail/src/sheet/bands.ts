/**
 * A table too wide for its paper goes on below itself: its columns in runs that fit, each as long as it can be. One that is
 * wider than the paper has a run to itself.
 *
 * @param widths of the columns, in the unit of the room
 * @param room what there is beside the column of row titles
 */
export function bands(widths: readonly number[], room: number): readonly (readonly number[])[] {
  const runs: number[][] = [];
  let left = 0;
  for (const [index, width] of widths.entries()) {
    const run = runs.at(-1);
    if (run && width <= left) {
      run.push(index);
      left -= width;
    } else {
      runs.push([index]);
      left = room - width;
    }
  }
  return runs;
}
