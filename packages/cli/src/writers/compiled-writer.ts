import type { CompiledSite, SiteDefinition } from 'fair-trail';
import { definitionType } from 'fair-trail/internal/core';
import { Failure } from '../failure.ts';
import { printable } from '../printable.ts';
import type { OutputFile } from './write-files.ts';

/**
 * A compiled site as a module, or as JSON.
 *
 * @param definition what it was made of: of that the module's types know the ids, params and menus
 * @param source the name of the site file, for the comment at the top
 */
export function compiledFiles(
  compiled: CompiledSite,
  definition: SiteDefinition,
  out: string,
  source: string,
): readonly OutputFile[] {
  const json = JSON.stringify(compiled, null, 2);
  if (out.endsWith('.json')) return [{ path: out, text: `${json}\n` }];
  const ending = /\.([cm]?)([jt])s$/u.exec(out);
  if (!ending || ending[1] === 'c' || /\.d\.[mt]?ts$/u.test(out)) {
    const remedy = 'Give it the ending .ts, .mts, .js, .mjs or .json.';
    throw new Failure('unknown-format', `The ending of "${printable(out)}" says no module to write. ${remedy}`);
  }
  const [, kind = '', language] = ending;
  const top = `// Made by "fair-trail compile" from ${printable(source)}. Compile it again when that changes.\n`;
  const type = definitionType(definition);
  const exported = 'export default site;\n';
  if (language === 't') {
    const imports = "import { loadSite, type CompiledSite } from 'fair-trail';\n";
    const value = `const compiled: CompiledSite<Definition> = ${json};\n`;
    const text = [
      top + imports,
      `type Definition = ${type};\n`,
      value,
      `export const site = loadSite(compiled);\n${exported}`,
    ];
    return [{ path: out, text: text.join('\n') }];
  }
  const declared = `export declare const site: Site<${type}>;\n${exported}`;
  return [
    {
      path: out,
      text: `${top}import { loadSite } from 'fair-trail';\n\nexport const site = /* @__PURE__ */ loadSite(${json});\n${exported}`,
    },
    {
      path: out.replace(/js$/u, 'ts').replace(new RegExp(`\\.${kind}ts$`, 'u'), `.d.${kind}ts`),
      text: `${top}import type { Site } from 'fair-trail';\n\n${declared}`,
    },
  ];
}
