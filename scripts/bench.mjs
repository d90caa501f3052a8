/** Benchmarks, each a ratio to its baseline in the same run or to the tenth of its own input, and the sizes. */
import { chromiumArguments, ensureChromium, findChromium } from './chromium.mjs';
import { installPackages } from './run.mjs';

installPackages();
ensureChromium();
await import('./build-packages.mjs');
await import('../bench/core.mjs');
await import('../bench/scale.mjs');
const browser = { executablePath: findChromium() ?? '', args: chromiumArguments };
const { benchStart } = await import('../bench/start.mjs');
await benchStart(browser);
const { benchFirstMount } = await import('../bench/first-mount.mjs');
await benchFirstMount(browser);
const { benchPageChange } = await import('../bench/page-change.mjs');
await benchPageChange(browser);
const { benchBar } = await import('../bench/bar.mjs');
await benchBar(browser);
const { benchSidebar } = await import('../bench/sidebar.mjs');
await benchSidebar(browser);
const { benchVue } = await import('../bench/vue.mjs');
await benchVue(browser);
const { benchList } = await import('../bench/list.mjs');
await benchList(browser);
const { benchServer } = await import('../bench/server.mjs');
benchServer();
const { benchAudit } = await import('../bench/audit.mjs');
await benchAudit(browser);
await import('../bench/sizes.mjs');
