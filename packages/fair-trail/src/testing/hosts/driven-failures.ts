import { NavigationFailure } from '../failures.ts';

/** What pages that are driven from outside fail with, the same for each way of driving. */

export function wholeAddress(address: string, from: string): string {
  if (URL.canParse(address, from)) return new URL(address, from).href;
  throw new NavigationFailure('bad-address', {
    wanted: `“${address}” was to be visited.`,
    found: `a path, from ${from}`,
    likely: 'the page is nowhere yet: visit a whole address first, such as http://127.0.0.1:8080/.',
  });
}

export function noAnswer(at: string, milliseconds: number): NavigationFailure {
  return new NavigationFailure('no-answer', {
    wanted: `The page was asked, and did not answer within ${milliseconds} ms.`,
    found: `nothing from ${at}`,
    likely:
      'a script of the page runs on and on, a dialog of the browser waits for an answer, or tens of thousands of links take longer to read: then give `answersWithin`.',
  });
}

export function pageClosed(): NavigationFailure {
  return new NavigationFailure('host-gone', {
    wanted: 'The page was to be looked at.',
    found: 'the browser page has been closed',
    likely: 'the test went on after its page was closed: an await is missing, or a clean-up ran too early.',
  });
}
