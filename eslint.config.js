import js from '@eslint/js';
import { defineConfig, globalIgnores } from 'eslint/config';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import typescript from 'typescript-eslint';

export default defineConfig(
  // The files of a new project are checked as a project.
  globalIgnores(['**/dist/', '**/node_modules/', '.build/', 'packages/cli/templates/']),
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    extends: [typescript.configs.strictTypeChecked, typescript.configs.stylisticTypeChecked],
    languageOptions: {
      parserOptions: {
        // One program for all packages: to read the same types once for each takes longer than to lint. In the examples, a site file
        // is a module of its own kind.
        project: [
          'tsconfig.whole.json',
          'examples/observatory-react/tsconfig.json',
          'examples/observatory-vue/tsconfig.json',
          'docs/site/tsconfig.json',
        ],
      },
    },
    rules: {
      // Taking a field out of an object names it without using it.
      '@typescript-eslint/no-unused-vars': ['error', { ignoreRestSiblings: true, varsIgnorePattern: '^_$' }],
      // Numbers and booleans read well in a message.
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true }],
      // An arrow that only calls is the shortest way to write a callback.
      '@typescript-eslint/no-confusing-void-expression': ['error', { ignoreArrowShorthand: true }],
    },
  },
  {
    files: ['**/*.tsx', 'packages/fair-trail/src/react/**/*.ts'],
    extends: [reactHooks.configs.flat.recommended],
  },
  {
    files: ['packages/fair-trail/src/elements/*.ts'],
    rules: {
      // The properties of an element's options are defined on its prototype, and declared by an interface.
      '@typescript-eslint/no-unsafe-declaration-merging': 'off',
    },
  },
  { files: ['**/*.{js,mjs}'], languageOptions: { globals: globals.node } },
  // Of a page without a build.
  {
    files: ['examples/observatory-static/*.js', 'docs/site/public/*.js'],
    languageOptions: { globals: globals.browser },
  },
);
