import type { Reporter, TestModule } from 'vitest/node';

/** What each project of tests costs: how many there are, and how long they run, in seconds of one process. */
export class CostReporter implements Reporter {
  onTestRunEnd(modules: readonly TestModule[]): void {
    const costs = new Map<string, { tests: number; failed: number; seconds: number }>();
    for (const module of modules) {
      const { name } = module.project;
      const cost = costs.get(name) ?? { tests: 0, failed: 0, seconds: 0 };
      costs.set(name, cost);
      for (const test of module.children.allTests()) {
        if (test.result().state === 'skipped') continue;
        cost.tests += 1;
        if (test.result().state === 'failed') cost.failed += 1;
      }
      const { collectDuration, duration, setupDuration } = module.diagnostic();
      cost.seconds += (collectDuration + duration + setupDuration) / 1000;
    }
    console.log('\nWhat each project of tests cost:');
    for (const [name, { tests, failed, seconds }] of costs) {
      const failures = failed > 0 ? `, ${failed} failed` : '';
      console.log(
        `  ${name.padEnd(12)} ${String(tests).padStart(5)} tests ${seconds.toFixed(0).padStart(5)} s${failures}`,
      );
    }
  }
}
