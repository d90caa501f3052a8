export { openBidi } from './drivers/bidi.ts';
export type { Driver } from './drivers/driver.ts';
export { DriverFailure } from './drivers/driver-failure.ts';
export { openWebDriver } from './drivers/web-driver.ts';
export { driverHost } from './hosts/driver-host.ts';
