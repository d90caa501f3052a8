import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  // The site file and the content stand beside this app, for the apps in other frameworks to use too.
  server: { fs: { allow: ['../..'] } },
});
