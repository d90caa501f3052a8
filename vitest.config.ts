import { playwright } from '@vitest/browser-playwright';
import { defineConfig } from 'vitest/config';
import { chromiumArguments, findChromium } from './scripts/chromium.mjs';
import { serveExample, tap } from './tests/browser-support.ts';

const browser = {
  enabled: true,
  headless: true,
  screenshotFailures: false,
  provider: playwright({
    launchOptions: { executablePath: findChromium() ?? '', args: chromiumArguments },
    contextOptions: { hasTouch: true },
  }),
  viewport: { width: 1280, height: 800 },
  instances: [{ browser: 'chromium' as const }],
  commands: { tap },
};

const react18 = (name: string) => new URL(`./compatibility/react-18/node_modules/${name}`, import.meta.url).pathname;

export default defineConfig({
  test: {
    projects: [
      {
        test: {
          name: 'node',
          environment: 'node',
          include: ['packages/**/*.test.{ts,tsx}', 'tests/**/*.test.ts'],
          exclude: ['**/node_modules/**', '**/dist/**', '**/*.browser.test.*'],
        },
      },
      {
        optimizeDeps: { include: ['react', 'react-dom/client', 'react/jsx-dev-runtime'] },
        test: { name: 'browser', include: ['packages/**/*.browser.test.{ts,tsx}'], browser },
      },
      {
        resolve: { alias: { react: react18('react'), 'react-dom': react18('react-dom') } },
        test: { name: 'browser, React 18', include: ['packages/fair-trail/src/react/*.browser.test.tsx'], browser },
      },
      {
        plugins: [serveExample()],
        test: { name: 'example', include: ['examples/**/*.browser.test.ts'], browser },
      },
    ],
  },
});
