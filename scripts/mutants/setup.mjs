import { afterEach } from 'vitest';
import { commands } from 'vitest/browser';

/** Runs in the browser before each file of tests: wakes the mutant that is asked for, or tells which ones a test reaches. */
const mutant = await commands.awakeMutant();
let reached = new Set();
globalThis.fairTrailIsMutant = (id) => {
  if (mutant === 0) reached.add(id);
  return id === mutant;
};

afterEach(async ({ task }) => {
  if (mutant !== 0) return;
  await commands.reachedMutants(task.file.name, task.id, fullName(task), [...reached]);
  reached = new Set();
});

function fullName(task) {
  const names = [];
  for (let at = task; at && at !== task.file; at = at.suite) names.unshift(at.name);
  return names.join(' ');
}
