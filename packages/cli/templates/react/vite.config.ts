import react from '@vitejs/plugin-react';
import { fairTrail } from 'fair-trail/vite';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react(), fairTrail({ prerender: 'src/server.tsx', tokens: 'src/theme.tokens.json' })],
  test: {
    environment: 'jsdom',
    setupFiles: ['fair-trail/testing/simulated-window'],
    // Each test opens one page. On a busy machine that may take longer than Vitest's five seconds.
    testTimeout: 20_000,
  },
});
