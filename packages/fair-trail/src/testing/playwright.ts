export { playwrightHost, type DrivenPage, type PlaywrightOptions } from './hosts/playwright-host.ts';
