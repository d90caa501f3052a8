import { expect, test } from 'vitest';
import { readJson } from '../packages/cli/src/input/json-document.ts';
import { jsonFault } from '../packages/fair-trail/src/vite/json-fault.ts';

/** The mistakes that people make in a site file: the overlay of the plugin says what the command says of them. */
test.each([
  ['a comma too many in an object', '{\n  "name": "Marram",\n}'],
  ['a comma too many in a list', '{ "entries": [1, 2,] }'],
  ['a comma that is missing', '{ "name": "Marram" "entries": [] }'],
  ['a colon that is missing', '{ "name" "Marram" }'],
  ['a name without quotes', '{ name: "Marram" }'],
  ['single quotes', "{ 'name': 1 }"],
  ['a text that is not closed', '{ "name": "Marram\n}'],
  ['a comment', '{ // a note\n "name": 1 }'],
  ['a bracket that is missing', '{ "entries": [1, 2'],
  ['a brace that is missing', '{ "name": 1'],
  ['something after the end', '{ "name": 1 } 2'],
  ['a word of a script', '{ "name": undefined }'],
])('%s is described in the overlay as by the command', (_, text) => {
  const fault = jsonFault(text);
  const shown = `site.json:${fault?.place.line}:${fault?.place.column}: this is not JSON: ${fault?.explanation}.`;
  expect(() => readJson(text, 'site.json')).toThrow(shown);
});
