/**
 * Writes the ladder of container queries that decides, at each rung of room, whether a bar's menu stands in the row or
 * gives way. The rungs are the library's own list, so the stylesheet cannot disagree with the views.
 */
function rule(room, indent) {
  const pad = ' '.repeat(indent);
  const lines = ['--ft-narrow: initial;', '--ft-wide: ;'].map((line) => `${pad}  ${line}`);
  return [`${pad}.ft-bar-row[data-ft-room='${room}'] {`, ...lines, `${pad}}`].join('\n');
}

export function barRoomCss(rungs) {
  const queries = rungs.map((rung) => `  @container ft-bar (inline-size < ${rung}em) {\n${rule(rung, 4)}\n  }`);
  return [
    '/* Made by scripts/bar-room-css.mjs from the rungs in core/layout/room.ts. Change those instead. */',
    '@layer fair-trail.parts {',
    [rule('never', 2), ...queries].join('\n\n'),
    '}',
    '',
  ].join('\n');
}
