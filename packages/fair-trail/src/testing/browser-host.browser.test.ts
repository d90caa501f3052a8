import { afterEach, describe, expect, test } from 'vitest';
import { handFaults, type Broken } from './faults.samples.ts';
import { subjectBody } from './subject.samples.ts';
import { clearSubject, showSubject, subjectPages } from './subject-in-page.samples.ts';
import { tenTests } from './ten-tests.samples.ts';
import { menuContract, menuParts } from './vitest.ts';

afterEach(clearSubject);

tenTests(showSubject);

describe('of anybody’s making', () => {
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

/** The promises of a part that are not kept. */
async function brokenPromises(part: string | null, broken: Broken | undefined): Promise<readonly string[]> {
  const open = (address: string) => showSubject(address, broken, { patience: 300 });
  const clauses = menuParts.filter(({ name }) => part === null || name === part).flatMap((one) => one.clauses);
  const found: string[] = [];
  for (const { name, run } of clauses) {
    await run({ open, menu: 'Main', pages: subjectPages }).catch(() => found.push(name));
  }
  return found;
}

describe('the contract of a menu sees a fault that was put in', () => {
  test('and none where there is none', async () => {
    expect(await brokenPromises(null, undefined)).toEqual([]);
  });

  const seen = handFaults.filter(({ part }) => part !== null);
  test.each(seen.map(({ name, ...fault }) => [name, fault] as const))('%s', async (_, { broken, part }) => {
    expect(await brokenPromises(part, broken)).not.toEqual([]);
  });
});
