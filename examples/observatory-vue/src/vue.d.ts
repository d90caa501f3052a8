/** For tools that do not read Vue's files. Those that do know more of each. */
declare module '*.vue' {
  import type { DefineComponent } from 'vue';

  const component: DefineComponent;
  export default component;
}
