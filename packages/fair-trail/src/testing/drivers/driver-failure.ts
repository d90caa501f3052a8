/**
 * The browser refused a command, or is gone. `code` is the protocol’s own error code, such as `no such element`.
 *
 * @example
 * try {
 *   await driver.visit('http://127.0.0.1:1/');
 * } catch (error) {
 *   if (error instanceof DriverFailure) console.log(error.code);
 * }
 */
export class DriverFailure extends Error {
  override readonly name = 'DriverFailure';
  /** As the protocol names it: the sections "Errors" of WebDriver and of WebDriver BiDi. */
  readonly code: string;

  constructor(code: string, message: string) {
    super(`${message} [${code}]`);
    this.code = code;
  }
}
