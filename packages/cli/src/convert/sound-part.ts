import { checkSite, type Problem, type DefinedSite, type SiteDefinition } from 'fair-trail';
import { printable } from '../printable.ts';

/** What can be used of a definition that a reader made. */
export interface SoundPart {
  /** Null if what is wrong cannot be taken out. */
  readonly site: DefinedSite | null;
  readonly problems: readonly Problem[];
  /** What was taken out, each with its reason. */
  readonly leftOut: readonly string[];
}

type Fields = Record<string, unknown>;

/** Takes out what is fatal, so that one flaw of an input does not refuse all the rest. */
export function soundPartOf(definition: SiteDefinition): SoundPart {
  const leftOut: string[] = [];
  let current = definition;
  for (;;) {
    const { site, problems } = checkSite(current);
    const fatal = problems.filter(({ severity }) => severity === 'fatal');
    if (site) return { site, problems, leftOut };
    current = structuredClone(current);
    // From the last to the first, so that what is taken out moves nothing that is still to be found.
    const inOrder = fatal.toSorted((one, other) => comparePointers(other.pointer, one.pointer));
    const reasons = inOrder.map((problem) => takeOut(current as unknown as Fields, problem));
    const found = reasons.filter((reason) => reason !== null);
    if (found.length === 0) return { site: null, problems, leftOut };
    leftOut.push(...found.filter(Boolean).toReversed());
  }
}

/** What was taken out, and why; empty where that is known, and null where the problem is none of a part that can be missing. */
function takeOut(definition: Fields, { code, pointer, message }: Problem): string | null {
  const steps = pointer.split('/').slice(1);
  const [top = ''] = steps;
  if (top === 'language' || top === 'origin') {
    Reflect.deleteProperty(definition, top);
    return printable(message);
  }
  if (top !== 'entries' && top !== 'menus') return null;
  const owners: { readonly holder: unknown; readonly step: string }[] = [];
  let value: unknown = definition;
  for (const step of steps) {
    owners.push({ holder: value, step });
    value = (value as Fields | undefined)?.[step];
  }
  const last = owners.at(-1);
  if (!last || value === undefined) return null;
  remove(last.holder, last.step);
  const entry = owners.findLast(({ holder }) => isEntry(holder))?.holder as Fields | undefined;
  removeEmptyEntry(owners);
  // The place in a menu goes with the entry, for which there is a reason already.
  if (code === 'unknown-entry') return '';
  const what = typeof value === 'string' ? `"${printable(value)}"` : 'what is below';
  const label = typeof entry?.['label'] === 'string' ? ` of "${printable(entry['label'])}"` : '';
  // The pointers of the message are those of a file that no one sees.
  const reason = code === 'duplicate-address' ? 'another page has the same address.' : printable(message);
  return `${what}${label}: ${reason}`;
}

function isEntry(value: unknown): boolean {
  return typeof value === 'object' && value !== null && Object.hasOwn(value, 'id');
}

/** An entry that lost its address and groups nothing is none. */
function removeEmptyEntry(owners: readonly { readonly holder: unknown; readonly step: string }[]): void {
  const index = owners.findLastIndex(({ holder }) => isEntry(holder));
  const [above, own] = [owners[index - 1], owners[index]];
  if (!above || !own) return;
  const entry = own.holder as Fields;
  const below = entry['entries'];
  if (entry['href'] === undefined && !(Array.isArray(below) && below.length > 0)) remove(above.holder, above.step);
}

function remove(holder: unknown, step: string): void {
  if (Array.isArray(holder)) holder.splice(Number(step), 1);
  else Reflect.deleteProperty(holder as object, step);
}

/** In the order of the file. */
function comparePointers(one: string, other: string): number {
  const [first, second] = [one.split('/'), other.split('/')];
  for (let index = 0; index < Math.min(first.length, second.length); index += 1) {
    const [a = '', b = ''] = [first[index], second[index]];
    if (a === b) continue;
    const numbers = [Number(a), Number(b)] as const;
    return numbers.some(Number.isNaN) ? (a < b ? -1 : 1) : numbers[0] - numbers[1];
  }
  return first.length - second.length;
}
