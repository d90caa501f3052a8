/** The versions that a new project begins with: those that this version of Fair Trail is tested with. */
export const versions = {
  '@types/node': '^20.19.43',
  '@types/react': '^19.3.0',
  '@types/react-dom': '^19.3.0',
  '@vitejs/plugin-react': '^6.3.0',
  '@vitejs/plugin-vue': '^6.0.11',
  jsdom: '^27.4.0',
  '@types/jsdom': '^27.0.0',
  react: '^19.3.1',
  'react-dom': '^19.3.1',
  typescript: '~6.0.3',
  vite: '^8.3.8',
  vitest: '~4.1.12',
  vue: '^3.5.45',
  'vue-tsc': '^3.3.14',
} as const;

export type KnownPackage = keyof typeof versions;
