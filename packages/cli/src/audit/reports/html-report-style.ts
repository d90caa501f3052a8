/** Paper and ink, as the library itself; dark where the reader wants it. */
export const htmlReportStyle = `
:root { color-scheme: light dark; --ink: light-dark(#1f2421, #e9e6dc); --paper: light-dark(#fbf9f3, #1b1e1c);
  --board: light-dark(#f1eee4, #262a27); --line: light-dark(#c9c4b4, #4a4f4b); --lichen: light-dark(#3c6339, #a5cf9f);
  --rust: light-dark(#9a3412, #f2a27d); --ochre: light-dark(#7a5200, #e3bd66) }
* { box-sizing: border-box }
html { scroll-padding-block: 1rem }
body { margin: 0 auto; max-width: 72rem; padding: 1.5rem clamp(1rem, 4vw, 3rem); background: var(--paper); color: var(--ink);
  font: 1rem/1.55 system-ui, sans-serif }
h1, h2, h3 { line-height: 1.25; text-wrap: balance }
h1 { margin: 0; font-size: 1.75rem } h2 { margin-block: 2.5rem 1rem; font-size: 1.3rem; border-block-end: 1px solid var(--line); padding-block-end: .3rem }
h3 { margin: 0; font-size: 1.05rem }
h2.error { color: var(--rust) } h2.warning { color: var(--ochre) } h2.advice { color: var(--lichen) }
a { color: var(--lichen) } a:focus-visible, pre:focus-visible, .table:focus-visible { outline: 3px solid var(--lichen); outline-offset: 2px }
main:focus { outline: none }
.skip { position: absolute; inset-inline-start: 1rem; inset-block-start: -6rem; padding: .6rem 1rem; background: var(--paper) }
.skip:focus { inset-block-start: .5rem }
.target { margin-block: .25rem; font-size: 1.1rem; overflow-wrap: anywhere }
nav ul { display: flex; flex-wrap: wrap; gap: .5rem; margin: 1rem 0 0; padding: 0; list-style: none }
nav a { display: block; padding: .5rem .9rem; background: var(--board); color: var(--ink); text-decoration: none;
  clip-path: polygon(0 0, calc(100% - .6rem) 0, 100% .6rem, 100% 100%, 0 100%) }
nav a:hover { text-decoration: underline } nav a:focus-visible { outline-offset: -3px }
.count { font-variant-numeric: tabular-nums; font-weight: 700; margin-inline-start: .4rem }
article { margin-block: 0 1.25rem; padding: 1rem 1.25rem; background: var(--board); border-inline-start: 4px solid var(--line) }
.rule { margin-block: .2rem .8rem } .likely { border: 1px solid currentcolor; padding-inline: .4rem; font-size: .85rem }
.picture { display: block; width: 100%; height: auto; border: 1px solid var(--line); background: #fff }
.frame { fill: none; stroke: #c2410c; stroke-width: 3; stroke-dasharray: 8 4 }
pre { margin-block: .8rem; padding: .6rem .8rem; overflow: auto; background: var(--paper); white-space: pre-wrap; overflow-wrap: anywhere }
code { font: .875rem/1.5 ui-monospace, monospace; overflow-wrap: anywhere }
dl { display: grid; grid-template-columns: max-content 1fr; gap: .25rem 1rem; margin: 0 } dt { font-weight: 600 } dd { margin: 0; min-width: 0 }
.table { overflow: auto } table { border-collapse: collapse; width: 100% }
th, td { padding: .4rem .6rem; text-align: start; vertical-align: top; border-block-end: 1px solid var(--line); font-weight: 400 } thead th { font-weight: 600 }
.summary { margin-block: 1rem; max-width: 44rem } .summary caption { text-align: start; font-weight: 600; padding-block: .3rem } dd ul { margin: 0; padding-inline-start: 1.2rem }
.pages li { margin-block: .2rem }
@media (max-width: 36rem) { dl { grid-template-columns: 1fr; gap: 0 } dd { margin-block-end: .5rem } }
@media print { article { break-inside: avoid } nav, .skip { display: none } }
`;
