import { expect, test } from 'vitest';
import { componentCode, initialOptions } from './component-code.ts';

test('options are written as each framework writes them, and defaults are not', () => {
  const options = {
    ...initialOptions,
    bar: { whenNarrow: 'more', hoverOpens: true, justify: 'end', pinned: '' },
    sidebar: {},
    breadcrumbs: {},
  };
  const settings = { menus: { bar: 'main' }, density: 'dense', theme: 'default' };
  expect(componentCode('React', options, settings)).toBe(
    '<html data-ft-density="dense">\n\n<Navbar menu="main" whenNarrow="more" hoverOpens />\n<Sidebar />\n<Breadcrumbs />\n',
  );
  expect(componentCode('Vue', options, settings)).toContain('<Navbar menu="main" when-narrow="more" hover-opens />');
  expect(componentCode('custom elements', options, settings)).toContain(
    '<trail-bar menu="main" when-narrow="more" hover-opens></trail-bar>',
  );
  expect(componentCode('HTML', options, settings)).toContain(
    "trail.bar({ menu: 'main', whenNarrow: 'more', hoverOpens: true })\ntrail.sidebar()",
  );
});
