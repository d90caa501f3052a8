import { writeFileSync } from 'node:fs';
import { CommanderError } from 'commander';
import { checkSite, reviewSite } from 'fair-trail';
import * as fc from 'fast-check';
import { afterEach, expect, test, vi } from 'vitest';
import { effort } from '../../../tests/effort.ts';
import { soundPartOf } from './convert/sound-part.ts';
import { Failure } from './failure.ts';
import { readJson } from './input/json-document.ts';
import { createProgram } from './program.ts';
import { toDefinition, type Draft } from './readers/draft.ts';
import { readHtmlNavigation } from './readers/html-reader.ts';
import { readOpml } from './readers/opml-reader.ts';
import { readSitemap } from './readers/sitemap-reader.ts';
import { observatory, place, write } from './test-command.samples.ts';

/** Always the same inputs, so that what fails can be looked at again. */
const runs = { seed: 20_261_129, numRuns: effort(400, 1_000_000) };

afterEach(() => {
  vi.restoreAllMocks();
  process.exitCode = undefined;
});

const word = fc.constantFrom(
  ...[
    'a',
    'b',
    '',
    ' ',
    '..',
    '/',
    '//',
    '/a',
    '/:x',
    '/*',
    '/:x+',
    '/a{/:y}?',
    '\\',
    '/\\:',
    '%',
    '%2F',
    '?',
    '#',
    '{x}',
  ],
  ...[
    'https://x.example/',
    'http://[',
    'mailto:',
    'javascript:x',
    '__proto__',
    'constructor',
    'valueOf',
    'en',
    'cy',
    'é',
  ],
);

const field = fc.constantFrom(
  ...['id', 'label', 'href', 'entries', 'aliases', 'movedFrom', 'query', 'records', 'audience', 'planned', 'flex'],
  ...[
    'name',
    'origin',
    'language',
    'languages',
    'home',
    'title',
    'menus',
    'entry',
    'depth',
    'params',
    'either',
    'action',
  ],
  ...['divider', '__proto__', 'toString'],
);

const { value: anyValue } = fc.letrec<{ value: unknown }>((tie) => ({
  value: fc.oneof(
    { maxDepth: 5, withCrossShrink: true },
    word,
    fc.constantFrom(null, true, 0, 1, -1, 1e9),
    fc.array(tie('value'), { maxLength: 4 }),
    fc.array(fc.tuple(field, tie('value')), { maxLength: 5 }).map((pairs) => Object.fromEntries(pairs)),
  ),
}));

/** Something like a site: its parts are of the right kind more often than not. */
const nearlyEntry = fc.record(
  {
    id: fc.oneof(fc.constantFrom('a', 'b', 'c', 'd'), anyValue),
    label: fc.oneof(word, fc.dictionary(fc.constantFrom('en', 'cy'), word), anyValue),
    href: fc.oneof(word, word, fc.dictionary(fc.constantFrom('en', 'cy'), word), anyValue),
    aliases: fc.oneof(fc.array(word, { maxLength: 2 }), anyValue),
    movedFrom: fc.oneof(fc.array(word, { maxLength: 2 }), anyValue),
    query: fc.oneof(fc.array(word, { maxLength: 2 }), anyValue),
    entries: fc.oneof(fc.constant([]), anyValue),
  },
  { requiredKeys: ['id', 'label'] },
);
const nearlySite = fc.record(
  {
    name: fc.oneof(word, anyValue),
    languages: fc.oneof(fc.array(word, { maxLength: 2 }), anyValue),
    entries: fc.oneof(fc.array(nearlyEntry, { maxLength: 4 }), anyValue),
    menus: fc.oneof(fc.dictionary(word, fc.array(fc.oneof(word, anyValue), { maxLength: 3 })), anyValue),
  },
  { requiredKeys: ['name', 'entries'] },
);

test('no site file makes the check or the review throw', () => {
  let sound = 0;
  fc.assert(
    fc.property(nearlySite, (definition) => {
      const { site, problems } = checkSite(definition);
      expect(site === null).toBe(problems.some(({ severity }) => severity === 'fatal'));
      if (!site) return;
      sound += 1;
      reviewSite(site);
    }),
    runs,
  );
  expect(sound).toBeGreaterThan(0);
});

/** Any failure that a command makes of bad input is a `Failure`. */
function attempt<Value>(work: () => Value): Value | null {
  try {
    return work();
  } catch (error) {
    expect(error).toBeInstanceOf(Failure);
    return null;
  }
}

const broken = (parts: readonly string[]) =>
  fc
    .array(
      fc.oneof(
        { weight: 8, arbitrary: fc.constantFrom(...parts) },
        { weight: 1, arbitrary: fc.string({ unit: 'binary' }) },
      ),
      {
        maxLength: 14,
      },
    )
    .map((pieces) => pieces.join(''));

test('no text makes the reader of JSON throw', () => {
  const text = broken(['{', '}', '[', ']', ',', ':', '"a"', '"name"', '1', 'null', 'true', '//', '"\\u00', '\n', ' ']);
  fc.assert(
    fc.property(text, (source) => {
      attempt(() => readJson(source, 'x.json'));
    }),
    runs,
  );
});

/** Texts of some of these parts, each between the same two tags, in a document of its kind. */
const wrapped = (start: string, end: string, open: string, close: string, parts: readonly string[]) =>
  fc
    .array(fc.array(fc.constantFrom(...parts), { maxLength: 5 }), { maxLength: 6 })
    .map((items) => `${start}${items.map((pieces) => open + pieces.join('') + close).join('')}${end}`);

const outlineParts = [
  'A',
  '" url="/a',
  '" url="/(x)',
  '" url="https://x.example/a%2Db',
  '" url="/a-b',
  '" htmlUrl="/%',
  '&#10;',
];
const outline = fc
  .array(fc.tuple(fc.uniqueArray(fc.constantFrom(...outlineParts), { maxLength: 2 }), fc.boolean()), { maxLength: 8 })
  .map((items) => {
    const rows = items.map(([parts, isNested]) => {
      const text = `<outline text="${parts.join('')}">`;
      return isNested ? `${text}<outline text="Below" url="/a/b"/></outline>` : `${text}</outline>`;
    });
    return `<opml><body>${rows.join('')}</body></opml>`;
  });

const locations = [
  'https://x.example/',
  'https://x.example/',
  'a/',
  'a',
  '%',
  '%2F',
  '%2D',
  '-',
  '(x)',
  ':y',
  '*',
  '/../',
  '//',
  '?q',
  'é',
];

test.each<[string, (file: string) => Draft, fc.Arbitrary<string>, readonly string[]]>([
  [
    'sitemap.xml',
    readSitemap,
    wrapped('<urlset>', '</urlset>', '<url><loc>', '</loc></url>', locations),
    [
      ...[
        '<urlset>',
        '</urlset>',
        '<url>',
        '</url>',
        '<loc>',
        '</loc>',
        '<sitemapindex>',
        '<!--',
        '<![CDATA[',
        ']]>',
        '&amp;',
      ],
      ...[
        'https://x.example/',
        'a/',
        '%',
        '%2F',
        '(x)',
        ':y',
        '*',
        '/../',
        '//',
        '&#xA0;',
        'http://[',
        '\u00a0',
        '?q',
        'é',
      ],
    ],
  ],
  [
    'outline.opml',
    readOpml,
    outline,
    [
      ...[
        '<opml>',
        '</opml>',
        '<body>',
        '</body>',
        '<outline text="A"',
        ' url="/a"',
        ' url="https://x.example/%"',
        '>',
        '/>',
      ],
      ...[
        '</outline>',
        ' text=""',
        ' url="javascript:x"',
        ' url="/\\x"',
        ' htmlUrl="/:x"',
        '<title>',
        '</title>',
        'x',
        '&#10;',
      ],
    ],
  ],
  [
    'page.html',
    readHtmlNavigation,
    wrapped('<nav><ul>', '</ul></nav>', '<li>', '', [
      '<a href="/a">A</a>',
      '<a href="/a%2Db">B</a>',
      '<a href="/a-b">C</a>',
      '<ul><li>',
      '</ul>',
    ]),
    [
      ...[
        '<nav>',
        '</nav>',
        '<ul>',
        '</ul>',
        '<li>',
        '</li>',
        '<a href="/a">',
        '<a href="/b">',
        '<a href="/(x)">',
        '</a>',
        'A',
      ],
      ...[
        '<a href="#">',
        '<a href="/a%2Db">',
        '<a href="/a-b">',
        '<html lang="en_US">',
        '<html lang="?">',
        '<base href="//y">',
      ],
      ...[
        '<link rel="canonical" href="https://x.example/p">',
        '<nav aria-label="__proto__">',
        '<nav id="constructor">',
      ],
    ],
  ],
])('no %s makes its reader throw, and what it reads is a sound site', (name, read, whole, parts) => {
  const file = place(name);
  let sound = 0;
  fc.assert(
    fc.property(fc.oneof(whole, broken(parts)), (text) => {
      writeFileSync(file, text);
      const draft = attempt(() => read(file));
      if (!draft) return;
      const { site } = soundPartOf(toDefinition(draft));
      expect([text, site === null]).toEqual([text, false]);
      sound += 1;
    }),
    { ...runs, numRuns: effort(400, 300_000) },
  );
  expect(sound).toBeGreaterThan(0);
});

test('no command line ends with anything but an exit code and a message', async () => {
  const small = write(
    'small.site.json',
    JSON.stringify({ name: 'x', entries: [{ id: 'a', label: 'A', href: '/a/:x' }] }),
  );
  const flawed = write('flawed.site.json', '{ "name": ');
  const text = write('text.txt', 'x');
  const out = place('out.json');
  const argument = fc.constantFrom(
    ...[
      'check',
      'show',
      'compare',
      'convert',
      'styles',
      'tokens',
      'help',
      'chek',
      '--help',
      '--version',
      '-',
      '--',
      '',
    ],
    ...[small, flawed, text, observatory, out, place('.'), place('nowhere/x.json'), 'a\0b', '\u001b[31m', '/dev/null'],
    ...[
      '--at',
      '--menu',
      '--audience',
      '--records',
      '--format',
      '--fail-on',
      '--release',
      '--from',
      '--to',
      '--origin',
    ],
    ...[
      '--force',
      '--strict',
      '--out',
      'json',
      'sarif',
      'text',
      'html',
      'sitemap',
      'opml',
      'folder',
      'site',
      'never',
      'error',
    ],
    ...[
      '/a',
      '/a/b',
      'https://x.example',
      'http://[',
      '#336600',
      '#fff',
      'main',
      'a,b',
      '--at=',
      '--nope',
      '-x',
      '--from=html',
    ],
  );
  const silence = () => true;
  vi.spyOn(process.stdout, 'write').mockImplementation(silence);
  vi.spyOn(process.stderr, 'write').mockImplementation(silence);
  await fc.assert(
    fc.asyncProperty(fc.array(argument, { maxLength: 6 }), async (args) => {
      try {
        await createProgram('0.0.0').parseAsync(args, { from: 'user' });
      } catch (error) {
        const isExpected = error instanceof Failure || error instanceof CommanderError;
        if (!isExpected) throw error;
      }
    }),
    runs,
  );
});
