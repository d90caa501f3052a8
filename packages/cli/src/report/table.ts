import stringWidth from 'string-width';

/** Columns as wide as their widest cell on screen, whatever the script. */
export function table(rows: readonly (readonly string[])[]): string[] {
  const widths: number[] = [];
  for (const row of rows) {
    row.forEach((cell, column) => (widths[column] = Math.max(widths[column] ?? 0, stringWidth(cell))));
  }
  return rows.map((row) =>
    row
      .map((cell, column) => cell + ' '.repeat((widths[column] ?? 0) - stringWidth(cell)))
      .join('  ')
      .trimEnd(),
  );
}
