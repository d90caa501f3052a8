/** Benchmarks, each a ratio to its baseline in the same run or to the tenth of its own input, and the sizes. */
import { chromiumArguments, ensureChromium, findChromium } from './chromium.mjs';
import { installPackages } from './run.mjs';

installPackages();
ensureChromium();
await import('./build-packages.mjs');
await import('../bench/core.mjs');
await import('../bench/scale.mjs');
const { benchStart } = await import('../bench/start.mjs');
await benchStart({ executablePath: findChromium() ?? '', args: chromiumArguments });
const { benchNavigation } = await import('../bench/navigation.mjs');
await benchNavigation({ executablePath: findChromium() ?? '', args: chromiumArguments });
const { benchBar } = await import('../bench/bar.mjs');
await benchBar({ executablePath: findChromium() ?? '', args: chromiumArguments });
const { benchSidebar } = await import('../bench/sidebar.mjs');
await benchSidebar({ executablePath: findChromium() ?? '', args: chromiumArguments });
const { benchAudit } = await import('../bench/audit.mjs');
await benchAudit({ executablePath: findChromium() ?? '', args: chromiumArguments });
await import('../bench/sizes.mjs');
