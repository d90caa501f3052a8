import { engineProvider, type Engine, type EngineProvider } from './provider.ts';
import { openFirefox } from './firefox.ts';
import { openWebKit } from './webkit.ts';

const engines: Readonly<Record<Engine['name'], Engine>> = {
  firefox: { name: 'firefox', open: () => openFirefox(), hasTouch: true },
  webkit: { name: 'webkit', open: () => openWebKit(), hasTouch: false },
};

/** A finger on what a selector finds: the same command as in Chromium. */
const tap = ({ provider }: { readonly provider: unknown }, selector: string) =>
  (provider as EngineProvider).tap(selector);

const focusPage = ({ provider }: { readonly provider: unknown }) => (provider as EngineProvider).focus();

/** How a project of tests runs in the browser mode, in another engine than Chromium. */
export function engineMode(name: Engine['name']) {
  return {
    enabled: true,
    headless: true,
    screenshotFailures: false,
    provider: engineProvider(engines[name]),
    viewport: { width: 1280, height: 800 },
    instances: [{ browser: name }],
    commands: { tap, focusPage },
  };
}
