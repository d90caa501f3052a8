import { describe, expect, test } from 'vitest';
import type { AuditReport, ReportedFinding } from './audit-report.ts';
import { againstBaseline } from './baseline.ts';
import { flattened, underTheirCauses } from './causes.ts';
import { nameIn, PathTaken } from './path-taken.ts';

const finding = (code: string, more: Partial<ReportedFinding> = {}): ReportedFinding => ({
  ...{ code, severity: 'error', certainty: 'sure', message: code, remedy: '', page: '', wcag: [] },
  ...{ selector: 'nav > a', html: '<a href="/">Today</a>', pages: ['http://127.0.0.1:1/'], width: 320, state: 'rest' },
  steps: [],
  ...more,
});

describe('a finding that follows from another one', () => {
  test('stands below it, whatever came first', () => {
    const found = underTheirCauses([finding('narrow-menu-lacks'), finding('toggle-does-nothing')]);
    expect(found.map(({ code, consequences = [] }) => [code, consequences.map((one) => one.code)])).toEqual([
      ['toggle-does-nothing', ['narrow-menu-lacks']],
    ]);
  });

  test('stands by itself on another page', () => {
    const elsewhere = finding('narrow-menu-lacks', { pages: ['http://127.0.0.1:1/tides'] });
    expect(underTheirCauses([elsewhere, finding('toggle-does-nothing')])).toHaveLength(2);
  });

  test('stands by itself where it is about another element, and the cause is of one', () => {
    const other = finding('state-low-contrast', { selector: 'footer > a', html: '<a href="/rules">Rules</a>' });
    expect(underTheirCauses([finding('low-contrast'), other])).toHaveLength(2);
    expect(underTheirCauses([finding('low-contrast'), finding('state-low-contrast')])).toHaveLength(1);
  });

  test('none is lost, and none is counted twice', () => {
    const all = ['acts-on-press', 'toggle-mouse-only', 'not-by-keyboard', 'toggle-needs-two-presses'].map((code) =>
      finding(code),
    );
    const found = underTheirCauses(all);
    expect(found.map(({ code }) => code)).toEqual(['acts-on-press']);
    expect(
      flattened(found)
        .map(({ code }) => code)
        .toSorted(),
    ).toEqual(all.map(({ code }) => code).toSorted());
  });
});

describe('a report against an earlier one', () => {
  const report = (...findings: readonly ReportedFinding[]): AuditReport => ({
    ...{ tool: { name: 'fair-trail', version: '0' }, target: 'dist', findings, notChecked: [] },
    pages: [{ url: 'http://127.0.0.1:1/', title: 'Today' }],
    summary: { error: findings.length, warning: 0, advice: 0 },
  });

  test('has what is new alone, and what is gone', () => {
    const before = report(finding('low-contrast'), finding('small-target'));
    // The port of a server that is started again is another one.
    const known = finding('low-contrast', { pages: ['http://127.0.0.1:2/'] });
    const now = againstBaseline(
      { ...report(known, finding('dead-link')), pages: [{ url: 'http://127.0.0.1:2/', title: '' }] },
      before,
    );
    expect(now.findings.map(({ code }) => code)).toEqual(['dead-link']);
    expect(now.summary).toEqual({ error: 1, warning: 0, advice: 0 });
    expect(now.baseline?.known).toBe(1);
    expect(now.baseline?.gone.map(({ code }) => code)).toEqual(['small-target']);
  });

  test('says nothing of pages that were not visited again', () => {
    const elsewhere = finding('small-target', { pages: ['http://127.0.0.1:1/tides'] });
    expect(againstBaseline(report(), report(elsewhere)).baseline?.gone).toEqual([]);
  });

  test('a known cause with a new consequence is new', () => {
    const cause = finding('toggle-does-nothing');
    const now = againstBaseline(report({ ...cause, consequences: [finding('narrow-menu-lacks')] }), report(cause));
    expect(now.findings).toHaveLength(1);
  });
});

test('steps that are repeated are one', () => {
  const path = new PathTaken();
  for (const step of ['click “Menu”', 'press Tab', 'press Tab', 'press Tab', 'press Escape']) path.add(step);
  expect(path.steps()).toEqual(['click “Menu”', 'press Tab 3 times', 'press Escape']);
  path.clear();
  expect(path.steps()).toEqual([]);
});

test('an element is named by its text, its label or its kind', () => {
  expect(nameIn('<button class="x"><span>Menu</span></button>')).toBe('“Menu”');
  expect(nameIn('<button aria-label="Open menu"></button>')).toBe('“Open menu”');
  expect(nameIn('<svg viewBox="0 0 9 9"></svg>')).toBe('the svg');
});
