// For the development server of the library's plugin. It promises nothing: what is here can change in any version.

export { Workbench } from '../workbench/server/workbench.ts';
