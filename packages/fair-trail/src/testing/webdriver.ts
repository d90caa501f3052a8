export { openBidi, type BidiOptions, type MessageSocket } from './drivers/bidi.ts';
export type { Driver } from './drivers/driver.ts';
export { DriverFailure } from './drivers/driver-failure.ts';
export { openWebDriver, type WebDriverOptions } from './drivers/web-driver.ts';
export { driverHost, type DriverHostOptions } from './hosts/driver-host.ts';
