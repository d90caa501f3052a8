import { copyFileSync, readFileSync, writeFileSync } from 'node:fs';
import { Ajv2020 } from 'ajv/dist/2020.js';
import { expect, test } from 'vitest';
import { observatory, place, run } from '../test-command.samples.ts';

test('declarations are written beside the site file, and are out of date once that changes', () => {
  const file = place('types.site.json');
  copyFileSync(observatory, file);
  expect(run('types', file, '--check')).toMatchObject({
    status: 1,
    stderr: expect.stringContaining('is out of date') as string,
  });
  const declarations = file.replace('.json', '.d.json.ts');
  expect(run('types', file)).toMatchObject({ status: 0, stderr: `Wrote ${declarations}.\n` });
  expect(readFileSync(declarations, 'utf8')).toContain('declare const site: Site<{');
  expect(run('types', file, '--check').status).toBe(0);
  writeFileSync(file, readFileSync(file, 'utf8').replaceAll('"tide-gauge"', '"gauge"'));
  expect(run('types', file, '--check').status).toBe(1);
  expect(run('types', file).status).toBe(0);
  expect(run('types', file, '--check').status).toBe(0);
});

test('the schema of a site knows its ids, audiences and icons, and accepts the site', () => {
  const file = place('schema.site.json');
  const out = place('own.schema.json');
  copyFileSync(observatory, file);
  expect(run('types', file, '--schema', out).status).toBe(0);
  const schema = JSON.parse(readFileSync(out, 'utf8')) as {
    readonly $defs: Readonly<Record<string, { readonly enum: readonly string[] }>>;
  };
  expect(schema.$defs['entryId']?.enum).toContain('lantern-room');
  const accepts = new Ajv2020({ allowUnionTypes: true }).compile(schema);
  const text = readFileSync(file, 'utf8');
  expect(accepts(JSON.parse(text))).toBe(true);
  expect(accepts(JSON.parse(text.replace('"depth": 2', '"depth": "2"')))).toBe(false);
  expect(accepts(JSON.parse(text.replace('"home": "today"', '"home": "todya"')))).toBe(false);
});

test('a site file in TypeScript needs no declarations', () => {
  expect(run('types', 'marram.site.ts')).toMatchObject({
    status: 2,
    stderr: expect.stringContaining('[bad-usage]') as string,
  });
});
