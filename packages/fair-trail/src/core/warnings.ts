import type { WarningCode } from './warning-codes.ts';
import { pageOf, type Report } from './report.ts';
import { nameHint, warningText } from './warning-texts.ts';

/** A warning of a running app. */
export interface Warning extends Report<WarningCode, 'warning'> {
  /** What was thrown, where something was. */
  readonly cause?: unknown;
}

/** @param subject the address or name that the warning is about */
export function warning(code: WarningCode, subject: string, cause?: unknown): Warning {
  const text = warningText(code, subject);
  return { code, severity: 'warning', ...text, page: pageOf('warnings', code), ...(cause !== undefined && { cause }) };
}

/**
 * A warning about a name that does not exist.
 *
 * @param where the component and the property that has it, such as `Navbar, property "menu"`
 * @param known the names that exist; the nearest is suggested, or all are listed where they are few
 */
export function nameWarning(code: WarningCode, name: string, where: string, known: readonly string[]): Warning {
  const { message, remedy, ...rest } = warning(code, name);
  return { ...rest, message: `${where}: ${message}`, remedy: nameHint(name, known) + remedy };
}
