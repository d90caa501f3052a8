import { afterEach, describe, expect, test } from 'vitest';
import { handFaults, type Broken } from './faults.samples.ts';
import { promisesOf } from './promises.samples.ts';
import { subjectBody } from './subject.samples.ts';
import { clearSubject, showSubject, subjectPages } from './subject-in-page.samples.ts';
import { tenTests } from './ten-tests.samples.ts';
import { menuParts } from './contracts/any-page/menu-contract.ts';
import { menuContract, type MenuSubject } from './vitest.ts';

afterEach(clearSubject);

tenTests(showSubject);

describe('of anyone’s making', () => {
  menuContract({ open: showSubject, menu: 'Main', pages: subjectPages });
});

test('a menu whose button is not to be seen is as open as it looks', async () => {
  const main = (await showSubject('/')).menu('Main');
  await expect(main).toBeOpen();
});

test('Tab has nowhere to go from a menu that is the last thing on its page: that is not judged, and no fault', async () => {
  const alone = { body: subjectBody.replace(/<footer>.*<\/footer>/su, '') };
  expect(alone.body).not.toBe(subjectBody);
  const clause = menuParts.flatMap(({ clauses }) => clauses).find(({ name }) => name.startsWith('Tab leads out'));
  const open = (address: string) => showSubject(address, alone, { patience: 300 });
  await expect(clause?.run({ open, menu: 'Main', pages: subjectPages })).rejects.toThrow(
    'nothing that takes focus comes after the menu: give the page a link after it',
  );
});

describe('no promise passes for want of something to ask it of', () => {
  const kept = async (subject: MenuSubject) => (await promisesOf(menuParts, subject)).kept;

  test('on an empty page', async () => {
    const open = (address: string) => showSubject(address, { body: '', script: '' }, { patience: 50 });
    expect(await kept({ open, pages: subjectPages })).toEqual([]);
  });

  test('in a menu of plain links', async () => {
    const names = ['Today', 'Hides'];
    const body = `<nav aria-label="Main">${names.map((name) => `<a href="/${name}">${name}</a>`).join(' ')}</nav>`;
    // No page of its own comes, and the page of the test must not go.
    const script = `
      const stay = (event) => event.preventDefault();
      addEventListener('click', stay);
      window.stopSubject = () => removeEventListener('click', stay);`;
    const open = (address: string) => showSubject(address, { body, script }, { patience: 50 });
    const flat = { open, pages: names.map((name) => ({ way: [name], address: `/${name}` })) };
    const found = await kept(flat);
    expect(found).toContain('it has every page, and each link has the address of its own');
    expect(found).not.toContain('an item that holds the page says that it does');
    expect(found.filter((name) => name.startsWith('Space'))).toEqual([]);
  });

  test('with fewer pages than marks and Back can go between', () => {
    expect(() => menuContract({ open: showSubject, pages: subjectPages.slice(0, 1) })).toThrow(/two pages or more/u);
  });
});

/** The promises of a part that are not kept. */
async function brokenPromises(part: string | null, broken: Broken | undefined): Promise<readonly string[]> {
  const open = (address: string) => showSubject(address, broken, { patience: 300 });
  const parts = menuParts.filter(({ name }) => part === null || name === part);
  return (await promisesOf(parts, { open, menu: 'Main', pages: subjectPages })).broken;
}

describe('the contract of a menu sees a fault that was put in', () => {
  test('and none if there is none', async () => {
    expect(await brokenPromises(null, undefined)).toEqual([]);
  });

  const seen = handFaults.filter(({ part }) => part !== null);
  test.each(seen.map(({ name, ...fault }) => [name, fault] as const))('%s', async (_, { broken, part }) => {
    expect(await brokenPromises(part, broken)).not.toEqual([]);
  });
});

describe('a text size', () => {
  test('is that of the page for as long as the test lasts', async () => {
    const visitor = await showSubject('/');
    await visitor.at({ textSize: 200 });
    expect(getComputedStyle(document.documentElement).fontSize).toBe('32px');
  });

  test('is not that of the next test', () => {
    expect(getComputedStyle(document.documentElement).fontSize).toBe('16px');
  });
});
