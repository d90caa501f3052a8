import { Bench } from 'tinybench';

/**
 * Measures a task and its baseline in turns, in one run on one machine, and prints how many times the baseline the task
 * takes, by the medians. A ratio carries over to other machines; a time does not.
 *
 * @param goal the most that the ratio should be
 */
export async function ratio(name, { task, baseline, goal, baselineName, time = 600 }) {
  const medians = { task: [], baseline: [] };
  for (let round = 0; round < 3; round += 1) {
    const bench = new Bench({ time, warmupTime: 100, iterations: 3, warmupIterations: 1 });
    bench.add('baseline', baseline).add('task', task);
    await bench.run();
    for (const one of bench.tasks) medians[one.name].push(medianOf(one));
  }
  const best = (values) => Math.min(...values);
  const value = best(medians.task) / best(medians.baseline);
  const verdict = goal === undefined ? '' : value <= goal ? `  within ${goal}x` : `  OVER ${goal}x`;
  console.log(`${value.toFixed(2).padStart(9)}x  ${name} against ${baselineName}${verdict}`);
  return value;
}

function medianOf(task) {
  if (task.result?.error) throw task.result.error;
  return task.result.latency.p50;
}
