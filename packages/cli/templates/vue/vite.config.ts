import vue from '@vitejs/plugin-vue';
import { fairTrail } from 'fair-trail/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [vue(), fairTrail({ prerender: 'src/server.ts', tokens: 'src/theme.tokens.json' })],
  test: {
    environment: 'jsdom',
    setupFiles: ['fair-trail/testing/simulated-window'],
    // Each test opens one page. On a busy machine that may take longer than Vitest's five seconds.
    testTimeout: 20_000,
  },
});
