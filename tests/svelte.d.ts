declare module '*.svelte' {
  import type { Component } from 'svelte';

  const component: Component<Readonly<Record<string, unknown>>>;
  export default component;
}
