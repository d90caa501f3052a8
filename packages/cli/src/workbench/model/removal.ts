import { valueAt, type JsonPath } from './json-text.ts';
import { entryOutline, everyNode, isInMenu, listAt, menuNames, samePath, type OutlineNode } from './site-edits.ts';

/** What goes with an entry that is taken away, and where links to it could lead instead. */
export interface Removal {
  readonly label: string;
  /** The labels of the entries below it. */
  readonly below: readonly string[];
  /** The names of the menus that show it, or something below it. */
  readonly menus: readonly string[];
  /** The addresses that lead nowhere then, old ones too; those with params are left out. */
  readonly addresses: readonly string[];
  /** The id and the label of the page that takes them over: the nearest above it, else the home page; null if there is none. */
  readonly heir: { readonly id: string; readonly label: string } | null;
}

/** Says what `removeEntry` takes away. */
export function removalOf(text: string, path: JsonPath): Removal | null {
  const all = [...everyNode(entryOutline(text))];
  const node = all.find((each) => samePath(each.path, path));
  if (!node) return null;
  const gone = [...everyNode([node])];
  const addresses = gone.flatMap(({ path: at }) => [
    valueAt(text, [...at, 'href']),
    ...listAt(valueAt(text, [...at, 'movedFrom'])),
  ]);
  const isPlain = (address: unknown): address is string => typeof address === 'string' && /^\/[^:*{(]*$/u.test(address);
  const isHeir = (each: OutlineNode) => each.id !== null && isPlain(valueAt(text, [...each.path, 'href']));
  const above = all.filter((each) => each !== node && each.path.every((step, index) => step === path[index]));
  const home = valueAt(text, ['home']);
  const rest = all.filter((each) => !gone.includes(each));
  const heir =
    above.findLast(isHeir) ??
    rest.find((each) => isHeir(each) && (each.id === home || valueAt(text, [...each.path, 'href']) === '/'));
  return {
    label: node.label,
    below: gone.slice(1).map(({ label }) => label),
    menus: menuNames(text).filter((menu) => gone.some(({ id }) => id !== null && isInMenu(text, menu, id))),
    addresses: addresses.filter(isPlain).filter((address) => address !== '/'),
    heir: heir?.id == null ? null : { id: heir.id, label: heir.label },
  };
}
