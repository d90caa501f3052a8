import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { expect, test } from 'vitest';

/** Words and phrases that readers found hard to follow, each with the trade's word. They fail the build in texts and in code. */
const words: readonly (readonly [pattern: RegExp, instead: string])[] = [
  [/\b(?:is|are|be|been|was|were|as|and) told\b(?! apart)/iu, 'is reported, is announced, is called with'],
  [/@param \w+ told\b/u, 'called with'],
  [/\bassistive technology is told\b/iu, 'is exposed to assistive technology'],
  [/\b(?:for|by) (?:eyes|ears)\b/iu, 'visual; for screen readers'],
  [/\bmend(?:s|ed|ing)?\b/iu, 'fix'],
  [/@returns ends\b|\banswer ends\b/u, 'returns a function that stops'],
  [/\b(?:is|it is) no pass\b/iu, 'does not count as a pass'],
  [/\bonly what is so\b/iu, 'no false alarms'],
  [/\breport for looking\b/iu, 'the HTML report'],
  [/\bas it is then\b/u, 'as it stands'],
  [/\b(?:anybody|nobody|everybody)['’]s making\b/iu, 'any implementation'],
  [/\bof (?:anybody|nobody) made\b/iu, 'an unknown address'],
  [/\b(?:told|tells?) (?:of )?the one alone\b/iu, 'reports the defect and stays silent on its twin'],
  [/\bfair-trail\.wishes\b/u, 'fair-trail.preferences'],
  [/\bas usual\b/iu, 'Reset; by default'],
  [/\bas in the system\b/iu, 'System default'],
  [/\bwhom it hurts\b/iu, 'who is affected'],
  [/\bmisspelt\b/iu, 'misspelled'],
  [/\bto be had\b/iu, 'available'],
];

const own = 'tests/plain-english.test.ts';
const { stdout } = spawnSync('git', ['ls-files'], { cwd: path.resolve(import.meta.dirname, '..'), encoding: 'utf8' });
const files = stdout
  .split('\n')
  .filter(
    (file) => /\.(?:md|ts|tsx|mjs|js|css|vue|html|json)$/u.test(file) && file !== own && file !== 'package-lock.json',
  );

test('no text and no comment has a word of the list', () => {
  expect(files.length).toBeGreaterThan(500);
  const found = files.flatMap((file) =>
    readFileSync(file, 'utf8')
      .split('\n')
      .flatMap((line, index) =>
        words
          .filter(([pattern]) => pattern.test(line))
          .map(([, instead]) => `${file}:${index + 1}: ${line.trim().slice(0, 120)} (write: ${instead})`),
      ),
  );
  expect(found).toEqual([]);
});
