import { expect, test } from 'vitest';
import { notesMarkdown } from './notes.ts';

test('notes are tables of Markdown, in which no label is anything but text', () => {
  const names = { title: 'Names', columns: ['part', 'name'], rows: [['link', '<b>|*Hides*\n[1]']] };
  expect(notesMarkdown('Bar', [names])).toBe(
    '# Bar\n\n## Names\n\n| part | name |\n| --- | --- |\n| link | \\<b\\>\\|\\*Hides\\* \\[1\\] |\n',
  );
});
