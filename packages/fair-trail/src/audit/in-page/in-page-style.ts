/** Paper and ink, as the reports; nothing of the page's own styles gets in here. */
export const inPageStyle = `
:host { all: initial; color-scheme: light; --ink: #1f2421; --paper: #fbf9f3; --line: #8a8672; --rust: #9a3412; --ochre: #7a5200; --lichen: #3c6339 }
.frames { position: fixed; inset: 0; z-index: 2147483646; pointer-events: none; overflow: hidden }
.frame { position: absolute; inset: 0 auto auto 0; border: 3px solid var(--lichen); box-shadow: 0 0 0 1px #fff }
.frame.error { border-color: var(--rust) } .frame.warning { border-color: var(--ochre) }
.frame.chosen { border-style: dashed; border-width: 5px } .frame[hidden] { display: none }
.panel { position: fixed; inset: auto 1rem 1rem auto; z-index: 2147483647; width: min(26rem, calc(100vw - 2rem)); max-height: min(60vh, 36rem); overflow: auto;
  box-sizing: border-box; padding: .8rem 1rem; background: var(--paper); color: var(--ink); border: 1px solid var(--line); font: 15px/1.5 system-ui, sans-serif;
  clip-path: polygon(0 0, calc(100% - .8rem) 0, 100% .8rem, 100% 100%, 0 100%) }
.panel:focus { outline: none }
header { display: flex; justify-content: space-between; align-items: start; gap: 1rem }
h2 { margin: 0; font-size: 1.15rem } h3 { margin: 1rem 0 .3rem; font-size: 1rem } .note { margin: .2rem 0 .6rem; font-size: .9rem }
ol, ul { margin: 0; padding: 0; list-style: none } li { padding: .6rem 0; border-top: 1px solid var(--line) }
p { margin: 0 } .rule { font-size: .85rem; font-weight: 600 } .rule.error { color: var(--rust) } .rule.warning { color: var(--ochre) } .rule.advice { color: var(--lichen) }
button { font: inherit; color: inherit; background: none; border: 0; padding: 0; cursor: pointer }
.show { text-align: start; text-decoration: underline; min-height: 24px } .close { min-width: 32px; min-height: 32px; font-size: 1.3rem; line-height: 1 }
button:focus-visible { outline: 3px solid var(--lichen); outline-offset: 1px }
code { display: block; margin-top: .3rem; font: 12px/1.4 ui-monospace, monospace; overflow-wrap: anywhere }
@media print { :host { display: none } }
`;
