/** Writes `docs/rules/`, `docs/audit-standards.md` and the table in `docs/audit.md` from the rules of the audit. Run after `npm run build`. */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import { root, runTool } from './run.mjs';

const built = pathToFileURL(path.join(root, 'packages/cli/dist/audit/rule-page.js')).href;
const { documented, rulePage, rulesPage } = await import(built);
const { standardsPage } = await import(
  pathToFileURL(path.join(root, 'packages/cli/dist/audit/standards/standards-page.js')).href
);
writeFileSync(path.join(root, 'docs/audit-standards.md'), standardsPage());
const folder = path.join(root, 'docs/rules');
rmSync(folder, { recursive: true, force: true });
mkdirSync(folder, { recursive: true });
for (const rule of documented) writeFileSync(path.join(folder, `${rule.id}.md`), rulePage(rule));
const guide = path.join(root, 'docs/audit.md');
const text = readFileSync(guide, 'utf8');
const between = /(<!-- rules -->)[^]*(<!-- end of rules -->)/u;
writeFileSync(
  guide,
  text.replace(between, (_, before, after) => `${before}\n\n${rulesPage()}\n\n${after}`),
);
runTool('prettier/bin/prettier.cjs', [
  '--write',
  '--log-level',
  'warn',
  'docs/rules',
  'docs/audit.md',
  'docs/audit-standards.md',
]);
