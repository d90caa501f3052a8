/**
 * Writes the ladder of container queries that decides, at each rung of room, whether a bar's menu stands in the row or
 * behind the toggle. The rungs are the library's own list, so the stylesheet cannot disagree with the views.
 */
const narrow = [
  '--ft-bar-wrap: wrap;',
  '--ft-bar-brand-flex: 1 1 8em;',
  '--ft-bar-slot-flex: 0 1 auto;',
  '--ft-bar-navigation-flex: none;',
  '--ft-bar-toggle-display: inline-flex;',
  '--ft-bar-panel-display: none;',
  '--ft-bar-panel-position: absolute;',
  '--ft-bar-panel-size: calc(100dvh - 5rem);',
  '--ft-bar-panel-padding: 0.5rem var(--ft-gutter) 1rem;',
  '--ft-bar-panel-overflow: auto;',
  '--ft-bar-panel-line: 2px;',
  '--ft-bar-flow: column nowrap;',
  '--ft-bar-item-line: 1px;',
  '--ft-bar-divider-margin: 0;',
  '--ft-bar-divider-upright: 0;',
  '--ft-bar-divider-across: 2px;',
  '--ft-bar-white-space: normal;',
];

function rule(room, indent) {
  const pad = ' '.repeat(indent);
  const lines = narrow.map((line) => `${pad}  ${line}`);
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
