/**
 * Writes the reference, `docs/reference/*.md`, from the declarations of each public entry and the comments in them. Run it
 * after a public name was added or changed: `node scripts/reference.mjs`. The packages must have been built.
 */
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import prettier from 'prettier';
import ts from 'typescript';
import { root } from './run.mjs';

const folder = path.join(root, 'docs/reference');

/** The entries that are documented: not `internal`, which promises nothing, and none that is no module. */
export function publicEntries() {
  return ['fair-trail', 'cli'].flatMap((name) => {
    const home = path.join(root, 'packages', name);
    const manifest = JSON.parse(readFileSync(path.join(home, 'package.json'), 'utf8'));
    return Object.entries(manifest.exports).flatMap(([entry, { types }]) =>
      types && !/^\.\/(?:internal\/|.*\.js$)/u.test(entry)
        ? [{ module: path.posix.join(manifest.name, entry), file: path.join(home, types) }]
        : [],
    );
  });
}

const page = ({ module }) => `${module.replace('@', '').replaceAll('/', '-')}.md`;

/** All public names, with what their declarations say. */
export function publicNames() {
  const entries = publicEntries();
  const program = ts.createProgram(
    entries.map(({ file }) => file),
    {
      module: ts.ModuleKind.NodeNext,
      moduleResolution: ts.ModuleResolutionKind.NodeNext,
      skipLibCheck: true,
      types: [],
    },
  );
  const checker = program.getTypeChecker();
  const surfaces = entries.map((entry) => {
    const module = checker.getSymbolAtLocation(program.getSourceFile(entry.file));
    const symbols = module ? checker.getExportsOfModule(module) : [];
    return { ...entry, names: symbols.map((symbol) => describe(symbol, checker)) };
  });
  const exported = new Set(surfaces.flatMap(({ names }) => names.map(({ name }) => name)));
  for (const { names } of surfaces) for (const one of names) one.others = others(one, exported, checker);
  return surfaces;
}

function describe(symbol, checker) {
  const isAlias = (symbol.flags & ts.SymbolFlags.Alias) !== 0;
  const target = isAlias ? checker.getAliasedSymbol(symbol) : symbol;
  const declarations = (target.declarations ?? []).filter(
    (one) => !one.getSourceFile().fileName.includes('node_modules'),
  );
  const isTypeOnly = isAlias && (symbol.declarations ?? []).some((one) => ts.isTypeOnlyExportDeclaration(one));
  const tags = target.getJsDocTags(checker);
  const textOf = (parts) => ts.displayPartsToString(parts).trim();
  const tagged = (name) => tags.filter((tag) => tag.name === name).map(({ text }) => textOf(text));
  const [first] = declarations;
  const documented = first && target.declarations.flatMap((one) => ts.getJSDocCommentsAndTags(commented(one)));
  const comment = documented?.find((one) => ts.isJSDoc(one) && one.comment);
  return {
    name: symbol.name,
    isValue: (target.flags & ts.SymbolFlags.Value) !== 0 && !isTypeOnly,
    text: comment
      ? ts
          .getTextOfJSDocComment(comment.comment)
          .replaceAll(/\s*\n\s*/gu, ' ')
          .trim()
      : '',
    params: tagged('param').map((text) => text.split(/\s+([\s\S]*)/u)),
    returns: tagged('returns'),
    throws: tagged('throws'),
    examples: tagged('example'),
    declarations,
    signature: declarations.map((one) => propertiesOf(one, symbol.name, checker) ?? signatureOf(one)).join('\n'),
    others: [],
  };
}

/** Where the comment of a declaration is: that of a variable is above its statement. */
function commented(declaration) {
  return ts.isVariableDeclaration(declaration) ? declaration.parent.parent : declaration;
}

function signatureOf(declaration) {
  const text = commented(declaration).getText();
  return text.replace(/^export (?:default )?/u, '').replaceAll(/\n\s*(?:#private|private [^;]*);/gu, '');
}

/** The members of a union of plain words or names in an order of their own. */
function inOrder(type) {
  const members = type.split(' | ');
  return members.every((one) => /^[\w"'-]+$/u.test(one)) ? members.toSorted().join(' | ') : type;
}

/**
 * A component of Vue, by the properties that it takes: what the compiler infers for it fills pages. Null for what is none.
 */
function propertiesOf(declaration, name, checker) {
  if (!ts.isVariableDeclaration(declaration) || !declaration.getText().includes('DefineComponent')) return null;
  const [made] = checker.getTypeAtLocation(declaration).getConstructSignatures();
  const given = made?.getReturnType().getProperty('$props');
  if (!given) return null;
  const isOurs = (property) =>
    property.declarations?.some((one) => one.getSourceFile().fileName.startsWith(path.join(root, 'packages')));
  // In an order of their own: the compiler's depends on what it has read before.
  const own = checker
    .getPropertiesOfType(checker.getTypeOfSymbol(given))
    .filter(isOurs)
    .toSorted((one, other) => (one.name < other.name ? -1 : 1));
  const fields = own.map((property) => {
    const type = checker.getNonNullableType(checker.getTypeOfSymbol(property));
    const isOptional = (property.flags & ts.SymbolFlags.Optional) !== 0;
    const comment = ts.displayPartsToString(property.getDocumentationComment(checker)).replaceAll(/\s*\n\s*/gu, ' ');
    const text = inOrder(
      checker.typeToString(type, undefined, ts.TypeFormatFlags.NoTruncation).replaceAll(/import\("[^"]*"\)\./gu, ''),
    );
    const written = /^\w+$/u.test(property.name) ? property.name : `'${property.name}'`;
    return `  ${comment === '' ? '' : `/** ${comment} */\n  `}${written}${isOptional ? '?' : ''}: ${text};`;
  });
  return `declare const ${name}: Component<{\n${fields.join('\n')}\n}>;`;
}

/** A type that is made of another one, with the fields that it comes to; null for one that is written as it is. */
function spelledOut(declaration, checker) {
  if (!ts.isTypeAliasDeclaration(declaration) || !ts.isMappedTypeNode(declaration.type)) return null;
  const fields = checker.getPropertiesOfType(checker.getTypeAtLocation(declaration)).map((property) => {
    const isOptional = (property.flags & ts.SymbolFlags.Optional) !== 0;
    const type = checker.getNonNullableType(checker.getTypeOfSymbol(property));
    const isNull = checker.typeToString(checker.getTypeOfSymbol(property)).includes('| null');
    const text = `${checker.typeToString(type)}${isNull ? ' | null' : ''}`;
    const comment = ts.displayPartsToString(property.getDocumentationComment(checker)).replaceAll(/\s*\n\s*/gu, ' ');
    return `  /** ${comment} */\n  readonly ${property.name}${isOptional ? '?' : ''}: ${text};`;
  });
  return `interface ${declaration.name.text} {\n${fields.join('\n')}\n}`;
}

/** The types of the library that a name uses, and that are not public themselves: its reader needs them too. */
function others({ declarations }, exported, checker) {
  const found = new Map();
  const visit = (node) => {
    if (ts.isTypeReferenceNode(node) || ts.isExpressionWithTypeArguments(node)) {
      const symbol = checker.getSymbolAtLocation(ts.isTypeReferenceNode(node) ? node.typeName : node.expression);
      const target = symbol && symbol.flags & ts.SymbolFlags.Alias ? checker.getAliasedSymbol(symbol) : symbol;
      const [declaration] = target?.declarations ?? [];
      const isOurs = declaration?.getSourceFile().fileName.startsWith(path.join(root, 'packages'));
      const isPlain = declaration && (ts.isInterfaceDeclaration(declaration) || ts.isTypeAliasDeclaration(declaration));
      if (isOurs && isPlain && !exported.has(target.name)) {
        found.set(target.name, spelledOut(declaration, checker) ?? signatureOf(declaration));
      }
    }
    ts.forEachChild(node, visit);
  };
  for (const declaration of declarations) visit(declaration);
  return [...found.values()];
}

/** Every name that an example uses comes from the entry that documents it, or from another one. */
function importsOf(example, own, surfaces) {
  const isDeclared = (name) => new RegExp(`(?:const|let|function|class) (?:\\{[^}]*)?\\b${name}\\b`, 'u').test(example);
  const order = [own, ...surfaces.filter((one) => one !== own && !/color|contracts|vitest|tap|cli/u.test(one.module))];
  const taken = new Set();
  return order.flatMap(({ module, names }) => {
    const used = names.filter(({ name }) => {
      const isUsed = new RegExp(`(?<![\\w'/-]|(?<!\\.\\.)\\.)\\b${name}\\b(?!['\\w]|: )`, 'u').test(
        example.replaceAll(/\/\/.*$/gmu, ''),
      );
      if (!isUsed || taken.has(name) || isDeclared(name)) return false;
      taken.add(name);
      return true;
    });
    if (used.length === 0) return [];
    const list = used.map(({ name, isValue }) => (isValue ? name : `type ${name}`)).toSorted();
    return [`import { ${list.join(', ')} } from '${module}';`];
  });
}

function section(one, surface, surfaces) {
  const { name, text, params, returns, throws, examples, signature } = one;
  const notes = [
    ...params.map(([param, meaning = '']) => `- \`${param}\`: ${meaning.replaceAll(/\s*\n\s*/gu, ' ')}`),
    ...returns.map((meaning) => `- Returns ${meaning.replaceAll(/\s*\n\s*/gu, ' ')}`),
    ...throws.map((meaning) => `- Throws ${meaning.replaceAll(/\s*\n\s*/gu, ' ')}`),
  ];
  const blocks = examples.map((example) => {
    if (surface.module.endsWith('/elements')) return ['Example:', '', '```html', example, '```', ''].join('\n');
    // An example in Vue that begins with an element is a template.
    if (surface.module.endsWith('/vue') && example.startsWith('<')) {
      const lines = example.replaceAll(/^/gmu, '  ');
      return ['Example:', '', '```vue', `<template>\n${lines}\n</template>`, '```', ''].join('\n');
    }
    const language = /<[A-Z]\w*|<\w+[ >]/u.test(example) ? 'tsx' : 'ts';
    const imports = importsOf(example, surface, surfaces);
    const node = example.includes('writeFileSync(') ? ["import { writeFileSync } from 'node:fs';"] : [];
    return ['Example:', '', `\`\`\`${language}`, ...node, ...imports, '', example, '```', ''].join('\n');
  });
  return [
    `## ${name}`,
    '',
    text,
    '',
    '```ts signature',
    [signature, ...one.others].join('\n\n'),
    '```',
    '',
    ...notes,
    '',
    ...blocks,
  ].join('\n');
}

/** The pages of the reference, by their names in its folder. */
export async function referencePages() {
  const surfaces = publicNames();
  const options = {
    ...(await prettier.resolveConfig(path.join(folder, 'x.md'))),
    parser: 'markdown',
    proseWrap: 'always',
  };
  const pages = new Map();
  for (const surface of surfaces) {
    const names = surface.names.toSorted((one, other) => Number(other.isValue) - Number(one.isValue));
    const list = (items) => items.map(({ name }) => `[\`${name}\`](#${name.toLowerCase()})`).join(', ');
    const values = names.filter(({ isValue }) => isValue);
    const types = names.filter(({ isValue }) => !isValue);
    const contents = [
      `# ${surface.module}`,
      `Every name that \`${surface.module}\` exports, with its signature. Whatever is not here is internal.`,
      ...(values.length > 0 ? [`To call or to draw: ${list(values)}.`] : []),
      ...(types.length > 0 ? [`Types: ${list(types)}.`] : []),
      ...names.map((one) => section(one, surface, surfaces)),
    ];
    pages.set(page(surface), await prettier.format(contents.join('\n\n'), options));
  }
  const rows = surfaces.map((surface) => `| [\`${surface.module}\`](${page(surface)}) | ${surface.names.length} |`);
  const index = [
    '# Reference',
    'All public names, by the entry that exports them.',
    '| entry | names |\n| --- | --- |\n',
  ];
  pages.set('README.md', await prettier.format(index.join('\n\n') + rows.join('\n'), options));
  return pages;
}

if (process.argv[1] === import.meta.filename) {
  const pages = await referencePages();
  rmSync(folder, { recursive: true, force: true });
  mkdirSync(folder, { recursive: true });
  for (const [name, text] of pages) writeFileSync(path.join(folder, name), text);
}
