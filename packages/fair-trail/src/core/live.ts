// For the modules that the plugin of Vite makes of site files. It promises nothing: what is here can change in any version.

export { replaceSite } from './site/replace-site.ts';
