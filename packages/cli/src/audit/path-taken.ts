/** What was done to a page since it was loaded, in words: the way to what is found then. */
export class PathTaken {
  #steps: string[] = [];

  clear(): void {
    this.#steps = [];
  }

  add(step: string): void {
    this.#steps.push(step);
  }

  /** The steps, those that are repeated as one. */
  steps(): readonly string[] {
    const counted: { readonly step: string; count: number }[] = [];
    for (const step of this.#steps) {
      const last = counted.at(-1);
      if (last?.step === step) last.count += 1;
      else counted.push({ step, count: 1 });
    }
    return counted.map(({ step, count }) => (count === 1 ? step : `${step} ${times(count)}`));
  }
}

function times(count: number): string {
  return count === 2 ? 'twice' : `${count} times`;
}

/** More of a name is not repeated. */
const mostCharacters = 40;

/** What an element is called in a step: what stands in it, else what it is labelled, else its kind. */
export function nameIn(html: string): string {
  const text = html
    .replaceAll(/<[^>]*>/gu, ' ')
    .replaceAll(/\s+/gu, ' ')
    .trim();
  const label = /\s(?:aria-label|title|alt|id)="([^"]+)"/u.exec(html)?.[1];
  const name = text === '' || text === '…' ? label : text;
  if (name !== undefined) return `“${name.length > mostCharacters ? `${name.slice(0, mostCharacters)}…` : name}”`;
  return `the ${/^<([^\s>]+)/u.exec(html)?.[1] ?? 'element'}`;
}
