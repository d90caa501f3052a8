import { compile } from 'svelte/compiler';
import type { Plugin } from 'vite';

/** Compiles the Svelte components of tests, in the way of an app's own build. */
export function svelteComponents(): Plugin {
  return {
    name: 'svelte-components',
    transform(code, id) {
      if (!id.endsWith('.svelte')) return null;
      const { js } = compile(code, { filename: id, generate: 'client', css: 'injected' });
      return { code: js.code, map: js.map };
    },
  };
}
