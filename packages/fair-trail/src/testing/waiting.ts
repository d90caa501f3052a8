/** How often something that is waited for is looked at, in milliseconds. */
const interval = 25;

/** Looks again until it is so, or the time is over; the last look counts either way. */
export async function waitUntil<Answer>(
  look: () => Promise<Answer>,
  isSo: (answer: Answer) => boolean,
  patience: number,
): Promise<{ readonly isSo: boolean; readonly answer: Answer }> {
  const end = performance.now() + patience;
  for (;;) {
    const answer = await look();
    if (isSo(answer)) return { isSo: true, answer };
    if (performance.now() > end) return { isSo: false, answer };
    await pause(interval);
  }
}

export function pause(milliseconds: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}

/** What is not there in time is given up, with what is made of that. */
export async function within<Answer>(
  milliseconds: number,
  promise: Promise<Answer>,
  late: () => Error,
): Promise<Answer> {
  let timer: ReturnType<typeof setTimeout> | undefined;
  const limit = new Promise<never>((_, reject) => {
    timer = setTimeout(() => reject(late()), milliseconds);
  });
  try {
    return await Promise.race([promise, limit]);
  } finally {
    clearTimeout(timer);
  }
}
