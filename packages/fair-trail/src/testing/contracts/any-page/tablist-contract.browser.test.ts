import { afterEach, describe, expect, test } from 'vitest';
import { promisesOf, replaced } from '../../promises.samples.ts';
import { clearSubject, showSubject } from '../../subject-in-page.samples.ts';
import { tablistContract } from '../../vitest.ts';
import { tablistParts } from './tablist-contract.ts';
import { tabsByHand, tabsFaults } from '../tabs-by-hand.samples.ts';

afterEach(clearSubject);

const show = (markup: typeof tabsByHand, patience = 3000) => showSubject('/curlew', markup, { patience });

describe('tabs of anyone’s making', () => {
  tablistContract({ open: () => show(tabsByHand), tabs: 'Curlew' });
});

describe('tabs of another making', () => {
  const kept = async (markup: typeof tabsByHand) => {
    const parts = tablistParts.filter(({ name }) => ['mouse', 'keyboard', 'Home and End'].includes(name));
    expect(markup).not.toEqual(tabsByHand);
    expect((await promisesOf(parts, { open: () => show(markup) })).broken).toEqual([]);
  };
  const { body, script, style } = tabsByHand;

  test('may show their panels late', () => {
    const panel = "document.getElementById(tab.getAttribute('aria-controls'))";
    // Its own panel, by then: the next test has one of the same id.
    const late = `const panel = ${panel}; setTimeout(() => { panel.hidden = tab !== chosen }, 300)`;
    return kept({ ...tabsByHand, script: replaced(script, `${panel}.hidden = tab !== chosen`, late) });
  });

  test('are walked the other way from right to left', () =>
    kept({
      ...tabsByHand,
      script: script
        .replace('ArrowRight:', 'Arrow:')
        .replace('ArrowLeft:', 'ArrowRight:')
        .replace('Arrow:', 'ArrowLeft:'),
      style: `${style} [role="tablist"] { direction: rtl }`,
    }));

  test('go down and up where tabs stand below each other', () =>
    kept({
      ...tabsByHand,
      body: body.replace('role="tablist"', 'role="tablist" aria-orientation="vertical"'),
      script: script.replace('ArrowRight:', 'ArrowDown:').replace('ArrowLeft:', 'ArrowUp:'),
    }));

  test('may leave it to Enter and Space to select', () =>
    kept({ ...tabsByHand, script: script.replace('select(enabled[to])', 'enabled[to].focus()') }));
});

describe('the contract of tabs sees a fault that was put in', () => {
  test.each(tabsFaults.map(({ name, ...fault }) => [name, fault] as const))('%s', async (_, { part, broken }) => {
    const parts = tablistParts.filter(({ name }) => name === part);
    expect((await promisesOf(parts, { open: () => show(broken, 300) })).broken).not.toEqual([]);
  });

  test('and keeps no promise for want of something to ask it of', async () => {
    const nothing = { open: () => show({ body: '', script: '', style: '' }, 50) };
    expect((await promisesOf(tablistParts, nothing)).kept).toEqual([]);
    const body = '<div role="tablist"><button role="tab" aria-selected="true">Song</button></div>';
    const one = { open: () => show({ body, script: '', style: '' }, 50) };
    expect((await promisesOf(tablistParts, one)).kept).toEqual([]);
  });
});
