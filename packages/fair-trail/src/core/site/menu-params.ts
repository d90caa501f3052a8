import { hrefOf } from './hrefs.ts';
import { pointerTo } from './fields.ts';
import { problem, type Problem } from './problems.ts';
import type { MenuNode, Site } from './site.ts';

/** The links of menus whose params spell the address of another entry: they would be missing without a word. */
export function checkMenuParams(site: Site): readonly Problem[] {
  const problems: Problem[] = [];
  const visit = (nodes: readonly MenuNode[], pointer: string) => {
    nodes.forEach((node, index) => {
      const at = `${pointer}/${index}`;
      if (node.kind === 'group') visit(node.nodes, `${at}/entries`);
      else if (node.kind === 'choice') visit(node.nodes, `${at}/either`);
      else if (node.kind === 'entry' && Object.keys(node.params).length > 0) {
        const wrong = wrongParams(site, node, at);
        if (wrong) problems.push(wrong);
      }
    });
  };
  for (const [name, nodes] of site.menus) visit(nodes, pointerTo('/menus', name));
  return problems;
}

function wrongParams(
  site: Site,
  { entry, params }: Extract<MenuNode, { kind: 'entry' }>,
  pointer: string,
): Problem | null {
  for (const language of site.languages) {
    if (hrefOf(site, entry, params, language) !== null) continue;
    return problem('menu-param-value', `${pointer}/params`, { value: entry.id });
  }
  return null;
}
