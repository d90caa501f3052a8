import { nameWarning, warning, type Warning } from '../core/warnings.ts';
import { attributeName, type AttributeTable } from '../core/view/option-attributes.ts';

/** Attributes that any element may have: of HTML and ARIA, and of frameworks that mark their own. */
const ofAnyElement =
  /^(?:class|id|slot|style|hidden|lang|dir|title|role|tabindex|part|inert|key|is)$|^(?:data|aria|on|v|ng|x|hx)-|^on|[:@._]/u;

/**
 * Reads the options that are written as attributes of an element.
 *
 * @param table the element's attributes
 * @param others further attributes that it has
 * @param warn called with each attribute that means nothing
 */
export function readAttributes<Options extends object>(
  element: Element,
  table: AttributeTable<Options>,
  others: readonly string[],
  warn: (warning: Warning) => void,
): Partial<Options> {
  const options: Partial<Options> = {};
  const names = new Map(Object.keys(table).map((name) => [attributeName(name), name as keyof Options & string]));
  for (const { name: written, value } of element.attributes) {
    const name = names.get(written);
    if (name === undefined) {
      const known = [...names.keys(), ...others];
      if (!others.includes(written) && !ofAnyElement.test(written))
        warn(nameWarning('attribute-unknown', written, element.localName, known));
      continue;
    }
    const read = table[name].read(value);
    if (read !== undefined) options[name] = read;
    else {
      const { message, remedy, ...rest } = warning('attribute-value', value);
      const where = `${element.localName}, attribute "${written}"`;
      warn({ ...rest, message: `${where}: ${message}`, remedy: `${remedy} It may be ${table[name].of}.` });
    }
  }
  return options;
}
