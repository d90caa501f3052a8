import { defineConfig } from 'vitest/config';
import { browserMode } from './scripts/browser-mode.mjs';
import { effort, isWhole, later } from './tests/effort.ts';
import { CostReporter } from './scripts/cost-reporter.ts';
import { engineMode } from './tests/engines/engine-mode.ts';
import { withoutSelectors } from './tests/older/without-selectors.ts';
import { foundEngines } from './scripts/engines.mjs';
import { svelteComponents } from './tests/svelte-components.ts';
import { tap } from './packages/fair-trail/src/testing/tap.ts';

const browser = () => browserMode(15_000, { tap });

const react18 = (name: string) => new URL(`./compatibility/react-18/node_modules/${name}`, import.meta.url).pathname;

const vueFlags = {
  __VUE_OPTIONS_API__: 'true',
  __VUE_PROD_DEVTOOLS__: 'false',
  __VUE_PROD_HYDRATION_MISMATCH_DETAILS__: 'false',
};

/** Nothing is measured by the clock: this only ends what would never end. */
const testTimeout = 60_000;
/** A busy machine needs longer than a second for a page that is built, served and drawn. */
const expectation = { poll: { timeout: 10_000 } };

/** Tests that drive a browser from outside. */
const withBrowser = [
  'packages/cli/src/commands/{sheet,audit,walk}.test.ts',
  'packages/cli/src/workbench/{workbench,panels}.test.ts',
  'packages/cli/src/audit/**/*.test.ts',
  'packages/cli/src/walk/{walk,example}.test.ts',
  'packages/fair-trail/src/dom/foreign-history.test.ts',
  'packages/fair-trail/src/vite/{dev-server,build}.test.ts',
  'packages/fair-trail/src/testing/{playwright,driver}-host.test.ts',
  'tests/packages.test.ts',
];

/** Fresh for each project, since the server writes into what it is given. */
const inBrowser = () => ({
  plugins: [svelteComponents()],
  // Vue says on the console where they are not decided.
  define: { ...vueFlags },
  optimizeDeps: {
    include: [
      'react',
      'vue',
      'svelte',
      'svelte/internal/client',
      'svelte/internal/disclose-version',
      'react-dom/client',
      'react-dom/server',
      'react/jsx-dev-runtime',
      'vue/server-renderer',
    ],
  },
});

/** What only Chromium's own protocol can tell, or what is asked of one engine. */
const chromiumAlone = ['**/{accessibility-tree,readable}.browser.test.tsx'];

export default defineConfig({
  test: {
    reporters: ['default', new CostReporter()],
    projects: [
      {
        test: {
          name: 'node',
          // What they share are modules without memory: to load those again for each file took a quarter of the time.
          pool: 'threads',
          isolate: false,
          testTimeout,
          hookTimeout: testTimeout,
          environment: 'node',
          include: ['packages/**/*.test.{ts,tsx}', 'tests/*.test.ts'],
          exclude: [
            ...['**/node_modules/**', '**/dist/**', '**/*.browser.test.*', ...withBrowser],
            // The tests of a new project run in one.
            'packages/cli/templates/**',
            ...later('packages/cli/src/commands/hostile-input.test.ts'),
          ],
          provide: { machineRuns: effort(1000, 10_000) },
        },
      },
      {
        test: {
          name: 'command',
          // Each of them starts a browser, some more than one.
          testTimeout: 2 * testTimeout,
          hookTimeout: 2 * testTimeout,
          expect: expectation,
          environment: 'node',
          include: withBrowser,
          exclude: [
            '**/node_modules/**',
            // Each is the command from end to end, for minutes: the corpus, the walk of the documentation and the tests of their
            // parts say sooner what is wrong.
            ...later(
              'packages/cli/src/commands/{audit,walk,sheet}.test.ts',
              'packages/cli/src/audit/example.test.ts',
              'packages/cli/src/walk/{walk,example}.test.ts',
              // Each panel to the bytes of the file; what keeps files safe is asked every time.
              'packages/cli/src/workbench/panels.test.ts',
              'packages/fair-trail/src/dom/foreign-history.test.ts',
            ),
          ],
          // After all others, since each of them starts browsers of its own; two, since they often wait for their pages.
          sequence: { groupOrder: 1 },
          maxWorkers: 2,
          maxConcurrency: 3,
          provide: { isWholeAudit: effort(false, true) },
        },
      },
      {
        ...inBrowser(),
        test: {
          name: 'react-19',
          testTimeout,
          expect: expectation,
          include: ['packages/**/*.browser.test.{ts,tsx}'],
          exclude: [
            '**/node_modules/**',
            // Many random states, and the kit's own contracts tried on faults.
            ...later(
              '**/{bar,sidebar}-stress.browser.test.tsx',
              '**/url-pattern.browser.test.ts',
              '**/{browser-host,tablist-contract,breadcrumb-trail-contract}.browser.test.ts',
              // The elements run the same contracts, and documents are compared in `same-document`.
              '**/vue/contracts.browser.test.ts',
            ),
          ],
          setupFiles: ['tests/quiet-console.ts'],
          browser: browser(),
          provide: { walkSteps: effort(80, 10_000), mounts: effort(4, 1000), documents: effort(10, 300) },
        },
      },
      {
        resolve: { alias: { react: react18('react'), 'react-dom': react18('react-dom') } },
        test: {
          name: 'react-18',
          testTimeout,
          expect: expectation,
          include: ['packages/fair-trail/src/react/*.browser.test.tsx'],
          setupFiles: ['tests/quiet-console.ts'],
          exclude: [
            // What is left behind after many mounts, and what the kit sees of a bar, is asked of one version.
            '**/*-stress.browser.test.tsx',
            '**/menu-contract.browser.test.tsx',
            // What a page or a machine does to them is no question of the version.
            '**/{hostile-pages,faults,large-sidebar,seen}.browser.test.tsx',
            // What differs between versions is how they print and hydrate: the contracts of the bar, of tabs and of the parts of a
            // page ask that here, and the rest is asked of one version.
            ...effort(
              ['**/{navbar,router,sidebar-contracts,controlled,names,readable,focus-on-back,fit}.browser.test.tsx'],
              [],
            ),
          ],
          browser: browser(),
          provide: { walkSteps: 40, mounts: 8 },
        },
      },
      ...foundEngines().map((engine) => ({
        ...inBrowser(),
        test: {
          name: engine,
          testTimeout: testTimeout / 4,
          expect: expectation,
          include: isWhole
            ? ['packages/**/*.browser.test.{ts,tsx}']
            : ['packages/fair-trail/src/react/{bar,tabs,breadcrumbs}-contracts.browser.test.tsx'],
          exclude: ['**/node_modules/**', ...chromiumAlone],
          setupFiles: ['tests/quiet-console.ts', 'tests/engines/focus.ts'],
          browser: engineMode(engine),
          provide: { walkSteps: effort(20, 10_000), mounts: effort(2, 1000), documents: effort(3, 300) },
        },
      })),
      {
        // Chromium as a browser of four years ago, as far as we use what came since.
        ...inBrowser(),
        plugins: [withoutSelectors({ containers: false })],
        test: {
          name: 'older',
          testTimeout: testTimeout / 4,
          expect: expectation,
          include: [`packages/fair-trail/src/react/${isWhole ? '*' : 'bar'}-contracts.browser.test.tsx`],
          setupFiles: ['tests/older/remove-features.ts', 'tests/quiet-console.ts'],
          browser: browser(),
        },
      },
      {
        test: {
          name: 'heard',
          testTimeout: 2 * testTimeout,
          hookTimeout: 2 * testTimeout,
          environment: 'node',
          include: isWhole ? ['tests/screen-reader/*.test.ts'] : [],
          sequence: { groupOrder: 2 },
        },
      },
      {
        test: {
          name: 'example',
          testTimeout,
          hookTimeout: testTimeout,
          expect: expectation,
          environment: 'node',
          include: ['examples/**/*.test.ts', 'docs/site/*.test.ts'],
          exclude: ['**/node_modules/**', ...later('examples/observatory-vue/**', '**/development.test.ts')],
        },
      },
    ],
  },
});
