import { expect, test } from 'vitest';
import { toHaveSoundNavigation } from './audit-matchers.ts';

test('a report without errors passes, and one with an error says what, where and how', () => {
  const finding = {
    code: 'dead-link',
    severity: 'error',
    message: 'A link leads nowhere.',
    selector: 'nav > a',
    remedy: 'Fix it.',
  } as const;
  expect(toHaveSoundNavigation({ findings: [] }).pass).toBe(true);
  const failed = toHaveSoundNavigation({ findings: [finding] });
  expect(failed.pass).toBe(false);
  expect(failed.message()).toBe(
    'The navigation has 1 of the weight "error" or more:\n\nerror A link leads nowhere. [dead-link]\n  nav > a\n  Fix it.',
  );
});

test('advice fails only where that is asked for', () => {
  const advice = { code: 'x', severity: 'advice', message: 'M', selector: 's', remedy: 'f' } as const;
  expect(toHaveSoundNavigation({ findings: [advice] }).pass).toBe(true);
  expect(toHaveSoundNavigation({ findings: [advice] }, { failOn: 'advice' }).pass).toBe(false);
});

test('a document is read by the rules, those that are left out not', () => {
  document.body.innerHTML = '<nav><a href="/"></a></nav>';
  expect(toHaveSoundNavigation(document, { only: ['link-without-name'] }).pass).toBe(false);
  expect(toHaveSoundNavigation(document, { only: ['link-without-name'], skip: ['link-without-name'] }).pass).toBe(true);
});
