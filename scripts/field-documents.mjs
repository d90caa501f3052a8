/**
 * Makes of the tables of fields (`core/site/field-table.ts`) what is published of them: the JSON Schema, and the tables of
 * `docs/site-file.md`. Run it after a field was added or changed: `node scripts/field-documents.mjs`.
 */
import { readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { pathToFileURL } from 'node:url';
import prettier from 'prettier';
import ts from 'typescript';
import { root } from './run.mjs';

const library = path.join(root, 'packages/fair-trail');
const schemaFile = path.join(library, 'site.schema.json');
const pageFile = path.join(root, 'docs/site-file.md');
const source = path.join(library, 'src/core/site/field-table.ts');
const built = path.join(library, 'dist/core/site/field-table.js');
const { entryDetails, entryFields, menuItemFields, siteFields } = await import(pathToFileURL(built).href);

/** What the comment above each field says, by the field's own object: a field that two tables share is one. */
function descriptions() {
  const file = ts.createSourceFile(source, readFileSync(source, 'utf8'), ts.ScriptTarget.Latest, true);
  const found = new Map();
  const visit = (literal, table) => {
    for (const property of literal.properties) {
      if (!ts.isPropertyAssignment(property)) continue;
      const name = property.name.text;
      const [comment] = ts.getJSDocCommentsAndTags(property);
      const inner = property.initializer;
      if (comment) found.set(table[name], ts.getTextOfJSDocComment(comment.comment).replaceAll(/\s+/gu, ' ').trim());
      else if (ts.isObjectLiteralExpression(inner)) visit(inner, table[name]);
    }
  };
  const tables = { entryDetails, entryFields, menuItemFields, siteFields };
  for (const statement of file.statements) {
    if (!ts.isVariableStatement(statement)) continue;
    for (const { name, initializer } of statement.declarationList.declarations) {
      const table = tables[name.text];
      // The tables stand within `as const satisfies …`.
      let literal = initializer;
      while (literal && !ts.isObjectLiteralExpression(literal)) literal = literal.expression;
      if (table) visit(literal, table);
    }
  }
  return found;
}

const described = descriptions();

function descriptionOf(field, name) {
  const text = described.get(field);
  if (!text) throw new Error(`The field "${name}" has no comment in field-table.ts.`);
  return text;
}

const name = { $ref: '#/$defs/name' };
const listOf = (items) => ({ type: 'array', items });
const byLanguage = (one) => ({ type: 'object', minProperties: 1, additionalProperties: one });
const text = { type: 'string', pattern: '\\S' };
const localized = { anyOf: [{ $ref: '#/$defs/text' }, { $ref: '#/$defs/texts' }] };

/** What each field may look like, for editors to offer. A field of this name has these examples wherever it stands. */
const examples = {
  $schema: ['../node_modules/fair-trail/site.schema.json'],
  name: ['Marram Point Bird Observatory'],
  origin: ['https://marram.example'],
  language: ['en', 'cy'],
  languages: [['en', 'cy']],
  audiences: [['ringer', 'warden']],
  home: ['today'],
  title: ['{label} · {site}'],
  entries: [[{ id: 'hides', label: 'Hides', href: '/hides' }]],
  menus: [{ main: ['today', { entry: 'hides', depth: 2 }] }],
  id: ['hides'],
  label: ['Hides', '{slug}'],
  href: ['/hides', '/species/:slug', 'https://tides.example/marram-point'],
  aliases: [['/birds']],
  movedFrom: [['/hides/lighthouse']],
  query: [['month']],
  audience: [['ringer']],
  planned: [true],
  opens: ['new-tab'],
  summary: ['Bitterns, if you wait'],
  badge: ['new'],
  icon: ['binoculars'],
  currentIcon: ['binoculars-filled'],
  priority: [10],
  flex: ['1 1 auto'],
  breadcrumb: [false],
  listed: [false],
  records: ['species'],
  entry: ['hides'],
  depth: [2],
  params: [{ slug: 'curlew' }],
  action: ['sign-in'],
  either: [
    [
      { action: 'sign-out', label: 'Sign out', audience: ['ringer'] },
      { action: 'sign-in', label: 'Sign in' },
    ],
  ],
  divider: [true],
};

/** What a schema can say of each type of field. */
const schemas = {
  text,
  localized,
  title: localized,
  name,
  names: listOf(name),
  audience: { type: 'array', minItems: 1, items: { $ref: '#/$defs/audience' } },
  query: listOf(name),
  paths: listOf({ $ref: '#/$defs/path' }),
  href: { anyOf: [{ $ref: '#/$defs/href' }, byLanguage({ $ref: '#/$defs/href' })] },
  language: text,
  languages: listOf(text),
  origin: { type: 'string', pattern: '^[Hh][Tt][Tt][Pp][Ss]?://[^/?#@\\s]+/?$' },
  boolean: { type: 'boolean' },
  number: { type: 'number' },
  opens: { enum: ['same-tab', 'new-tab'] },
  flex: text,
  entries: listOf({ $ref: '#/$defs/entry' }),
  menus: { type: 'object', propertyNames: name, additionalProperties: { $ref: '#/$defs/menuItems' } },
  menuItems: { $ref: '#/$defs/menuItems' },
  entryId: { $ref: '#/$defs/entryId' },
  depth: { type: 'integer', minimum: 1, default: 1 },
  params: { type: 'object', additionalProperties: { $ref: '#/$defs/text' } },
  divider: { const: true },
};

function objectSchema(table) {
  const rows = Object.entries(table).map(([field, definition]) => {
    const { type, default: usual } = definition;
    const hasDefault = ['boolean', 'number', 'string'].includes(typeof usual);
    const schema = schemas[type];
    if (!schema) throw new Error(`field-documents.mjs has no schema for fields of the type "${type}".`);
    const shown =
      field === 'home' ? { $ref: '#/$defs/homeId' } : /icon$/iu.test(field) ? { $ref: '#/$defs/icon' } : schema;
    if (!examples[field]) throw new Error(`field-documents.mjs has no example of the field "${field}".`);
    return [
      field,
      {
        ...shown,
        ...(hasDefault && { default: usual }),
        description: plain(descriptionOf(definition, field)),
        examples: examples[field],
      },
    ];
  });
  const required = Object.entries(table).flatMap(([field, definition]) => (definition.required ? [field] : []));
  return {
    type: 'object',
    ...(required.length > 0 && { required }),
    additionalProperties: false,
    properties: Object.fromEntries(rows),
  };
}

/** Editors show a description as it is, without Markdown. */
function plain(markdown) {
  return markdown.replaceAll('`', '');
}

const href =
  '^(/(?!/|\\\\[^\\\\:*{}()?+#])|[Hh][Tt][Tt][Pp][Ss]?://[^/\\\\?#]|[Mm][Aa][Ii][Ll][Tt][Oo]:.|[Tt][Ee][Ll]:.)';

export function siteSchema() {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Fair Trail site file',
    description: 'All pages and menus of one website.',
    ...objectSchema(siteFields),
    $defs: {
      text,
      texts: {
        ...byLanguage({ $ref: '#/$defs/text' }),
        description: "Text by language tag; the site's own language must be among them.",
      },
      name: { type: 'string', pattern: '^[A-Za-z][A-Za-z0-9_.-]*$' },
      // A schema of one site has the names of that site in these places.
      entryId: { $ref: '#/$defs/text' },
      homeId: name,
      audience: name,
      icon: name,
      path: {
        type: 'string',
        pattern: '^/(?!/|\\\\[^\\\\:*{}()?+#])',
        description: 'A path of this site, in the pathname syntax of the URL Pattern standard.',
      },
      href: { type: 'string', pattern: href },
      entry: objectSchema(entryFields),
      menuItems: listOf({ $ref: '#/$defs/menuItem' }),
      menuItem: {
        oneOf: [
          { $ref: '#/$defs/entryId', description: 'The id of an entry.' },
          ...Object.values(menuItemFields).map(objectSchema),
        ],
      },
    },
  };
}

function usualOf({ required, usually, default: usual }) {
  if (required) return 'required';
  if (usually) return usually;
  return ['boolean', 'number', 'string'].includes(typeof usual) ? `\`${usual}\`` : '';
}

function tableOf(table) {
  const rows = Object.entries(table).map(
    ([field, definition]) => `| \`${field}\` | ${usualOf(definition)} | ${descriptionOf(definition, field)} |`,
  );
  return ['| field | default | meaning |', '| --- | --- | --- |', ...rows].join('\n');
}

/** The page with its tables made again. Each stands after a comment that names it, and ends at an empty line. */
export async function siteFilePage(page) {
  const tables = { site: tableOf(siteFields), entry: tableOf(entryFields) };
  const filled = page.replaceAll(
    /(<!-- fields: (\w+) -->\n\n)(?:\|.*\n)+/gu,
    (_, marker, which) => `${marker}${tables[which]}\n`,
  );
  return prettier.format(filled, { ...(await prettier.resolveConfig(pageFile)), parser: 'markdown' });
}

if (process.argv[1] === import.meta.filename) {
  const options = { ...(await prettier.resolveConfig(schemaFile)), parser: 'json' };
  writeFileSync(schemaFile, await prettier.format(JSON.stringify(siteSchema()), options));
  writeFileSync(pageFile, await siteFilePage(readFileSync(pageFile, 'utf8')));
}
