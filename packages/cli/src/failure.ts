import { pageOf, type Report } from 'fair-trail/internal/core';
import { errorColors } from './colors.ts';

/**
 * What can go wrong in the command itself, and how to fix it in general; a message says it of the case. What can be wrong
 * in a site file is in the library's catalogue; `docs/problems.md` explains both.
 */
const remedies = {
  'bad-usage': 'Run the command with --help for what can be given.',
  'file-missing': 'Correct the path, or make the file.',
  'file-unreadable': 'Make the file readable, or its folder writable; for a folder, name a file in it.',
  'file-encoding': 'Save the file as UTF-8.',
  'file-too-large': 'Split the file, or take a part of the folder.',
  'file-exists': 'Replace it with --force, or name another file.',
  'json-syntax': 'Correct the JSON at the line and column of the message.',
  'duplicate-field': 'Remove one of the two fields.',
  'xml-syntax': 'Correct the XML at the line and column of the message.',
  'not-compressed': 'Make the gzip file again, or give the file unpacked.',
  'nothing-found': 'Give a file or folder that holds what the command reads.',
  'module-failed': 'Export the definition as the default of the module, and let it load without waiting for anything.',
  'records-syntax': 'Write an object with a list of records for each name.',
  'unknown-format': 'Name the format with --from or --to, or give the file another ending.',
  'folder-not-empty': 'Name a folder that is empty or not there yet.',
  'entry-exists': 'Give another path, or another id.',
  'no-place-for-page': 'Add the entry, the page and its line by hand.',
  'needs-origin': 'Give the site an "origin", or name it with --origin.',
  'site-problems': 'Fix the problems that are listed before this line.',
  'unknown-menu': 'Use the name of a menu of the site file.',
  'bad-address': 'Give a path of the site, or a whole http or https URL.',
  'bad-color': 'Write the color as #rgb or #rrggbb, in quotes.',
  'token-problems': 'Fix the tokens that are listed before this line.',
  'theme-incomplete': 'Add the colors to the theme, or look at them in the sheet.',
  'no-browser': 'Install a Chromium, or name one with --browser or CHROMIUM_PATH.',
  'port-taken': 'Give another port with --port, or 0 for any that is free.',
  'unknown-rule': 'Use the id of a rule of the audit.',
  'not-a-report': 'Write a report with: fair-trail audit … --format json --out <file>.',
  'no-such-entry': 'Use the id of an entry of the site file.',
  'no-such-language': 'Use one of the languages of the site file.',
  'storage-syntax': 'Write the file with the storageState() of Playwright.',
  unexpected: 'Report it with the command and its input.',
} as const satisfies Readonly<Record<string, string>>;

export type CommandFailureCode = keyof typeof remedies;

export const failureCodes = Object.keys(remedies) as readonly CommandFailureCode[];

/** The line on the error stream that reports a failure. */
export function failureLine({ message, code }: Pick<Failure, 'message' | 'code'>): string {
  return `${errorColors.red('fair-trail:')} ${message} [${code}]`;
}

/** Ends the command with a line for the error stream and an exit code: 3 if there is no browser, else that of bad input. */
export class Failure extends Error implements Report<CommandFailureCode, 'error'> {
  override readonly name = 'Failure';
  readonly code: CommandFailureCode;
  readonly severity = 'error';
  readonly remedy: string;
  readonly page: string;

  constructor(code: CommandFailureCode, message: string) {
    super(message);
    this.code = code;
    this.remedy = remedies[code];
    this.page = pageOf('problems', code);
  }

  get exitCode(): number {
    return this.code === 'no-browser' ? 3 : 2;
  }
}
