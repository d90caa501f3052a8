import { replaced } from '../promises.samples.ts';

/** Tabs that no one made with this library: what the contract of tabs is tried on. */

const tabs = ['Song', 'Range', 'Archive', 'Ringing'];

const body = `
<p><a href="/before">Before</a></p>
<h2 id="curlew">Curlew</h2>
<div role="tablist" aria-labelledby="curlew">
  ${tabs
    .map(
      (tab, index) =>
        `<button type="button" role="tab" id="tab-${tab}" aria-controls="panel-${tab}" aria-selected="${index === 0}"` +
        ` tabindex="${index === 0 ? 0 : -1}"${tab === 'Archive' ? ' aria-disabled="true"' : ''}>${tab}</button>`,
    )
    .join('\n  ')}
</div>
${tabs
  .map(
    (tab, index) =>
      `<div role="tabpanel" id="panel-${tab}" aria-labelledby="tab-${tab}" tabindex="0"${index === 0 ? '' : ' hidden'}>About ${tab}</div>`,
  )
  .join('\n')}
<p><a href="/after">After</a></p>`;

const style = `
  body { margin: 0; font: 16px/1.5 sans-serif }
  [role="tablist"] { display: flex; flex-wrap: wrap }
  [role="tab"] { font: inherit; padding: 8px 16px }`;

const script = `
  const list = document.querySelector('[role="tablist"]');
  const tabs = [...list.querySelectorAll('[role="tab"]')];
  const enabled = tabs.filter((tab) => tab.getAttribute('aria-disabled') !== 'true');
  const select = (chosen) => {
    for (const tab of tabs) {
      tab.setAttribute('aria-selected', String(tab === chosen));
      tab.tabIndex = tab === chosen ? 0 : -1;
      document.getElementById(tab.getAttribute('aria-controls')).hidden = tab !== chosen;
    }
    chosen.focus();
  };
  const onClick = (event) => {
    const tab = event.target.closest('[role="tab"]');
    if (enabled.includes(tab)) select(tab);
  };
  const onKey = (event) => {
    const at = enabled.indexOf(document.activeElement);
    if (at < 0) return;
    const { length } = enabled;
    const to = { ArrowRight: (at + 1) % length, ArrowLeft: (at + length - 1) % length, Home: 0, End: length - 1 }[event.key];
    if (to === undefined) return;
    event.preventDefault();
    select(enabled[to]);
  };
  list.addEventListener('click', onClick);
  list.addEventListener('keydown', onKey);`;

export const tabsByHand = { body, style, script };

interface TabsFault {
  readonly name: string;
  /** The part of the contract that sees it. */
  readonly part: string;
  readonly broken: typeof tabsByHand;
}

const inBody = (from: string, to: string) => ({ ...tabsByHand, body: replaced(body, from, to) });
const inStyle = (from: string, to: string) => ({ ...tabsByHand, style: replaced(style, from, to) });
const inScript = (from: string, to: string) => ({ ...tabsByHand, script: replaced(script, from, to) });

/** What people get wrong in tabs that they write by hand. */
export const tabsFaults: readonly TabsFault[] = [
  { name: 'a tab without a name', part: 'names', broken: inBody('>Range</button>', '></button>') },
  { name: 'two tabs of one name', part: 'names', broken: inBody('>Ringing</button>', '>Range</button>') },
  {
    name: 'a panel that nothing names',
    part: 'names',
    broken: inBody('id="panel-Song" aria-labelledby="tab-Song"', 'id="panel-Song"'),
  },
  {
    name: 'a tab that controls no panel',
    part: 'mouse',
    broken: {
      ...tabsByHand,
      body: body.replaceAll('panel-Range', 'pane-Range').replace('role="tabpanel" id="pane-Range"', 'id="pane-Range"'),
    },
  },
  {
    name: 'only a class says which one is selected',
    part: 'mouse',
    broken: inScript(
      "tab.setAttribute('aria-selected', String(tab === chosen))",
      "tab.classList.toggle('selected', tab === chosen)",
    ),
  },
  {
    name: 'one is selected, and the last one stays so',
    part: 'mouse',
    broken: inScript(
      "tab.setAttribute('aria-selected', String(tab === chosen))",
      "if (tab === chosen) tab.setAttribute('aria-selected', 'true')",
    ),
  },
  {
    name: 'the panel does not follow',
    part: 'mouse',
    broken: inScript("document.getElementById(tab.getAttribute('aria-controls')).hidden = tab !== chosen", 'void 0'),
  },
  { name: 'focus goes to nothing', part: 'mouse', broken: inScript('chosen.focus()', 'chosen.blur()') },
  {
    name: 'every tab is a stop of Tab',
    part: 'keyboard',
    broken: inScript('tab.tabIndex = tab === chosen ? 0 : -1', 'tab.tabIndex = 0'),
  },
  {
    name: 'Tab comes to the first one, whichever is selected',
    part: 'keyboard',
    broken: inScript('tab.tabIndex = tab === chosen ? 0 : -1', 'tab.tabIndex = tab === tabs[0] ? 0 : -1'),
  },
  {
    name: 'no arrow keys',
    part: 'keyboard',
    broken: inScript('if (at < 0) return', "if (at < 0 || event.key.startsWith('Arrow')) return"),
  },
  {
    name: 'arrow keys that stop at the last',
    part: 'keyboard',
    broken: inScript('(at + 1) % length', 'Math.min(at + 1, length - 1)'),
  },
  {
    name: 'arrow keys that move focus, and then no key selects',
    part: 'keyboard',
    broken: {
      ...tabsByHand,
      script: script
        .replace('select(enabled[to])', 'enabled[to].focus()')
        .replace('if (enabled.includes(tab))', 'if (enabled.includes(tab) && event.detail > 0)'),
    },
  },
  { name: 'Home and End scroll the page', part: 'Home and End', broken: inScript(', Home: 0, End: length - 1', '') },
  {
    name: 'a disabled one is selected by arrow keys as any other',
    part: 'disabled',
    broken: inScript("tabs.filter((tab) => tab.getAttribute('aria-disabled') !== 'true')", 'tabs'),
  },
  {
    name: 'a press of the mouse alone',
    part: 'touch',
    broken: inScript('const tab = event', "if (event.pointerType === 'touch') return;\n    const tab = event"),
  },
  { name: 'a row that neither wraps nor scrolls', part: 'narrow', broken: inStyle('flex-wrap: wrap', 'width: 500px') },
  {
    name: 'a row as wide as its text at first',
    part: 'large text',
    broken: inStyle('flex-wrap: wrap', 'width: 60rem'),
  },
];
