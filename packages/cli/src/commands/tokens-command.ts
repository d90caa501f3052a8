import { Option, type Command } from 'commander';
import {
  checkPalette,
  type Color,
  deriveTheme,
  type PairResult,
  readHex,
  tokensCss,
  writeHex,
  writeTokens,
} from 'fair-trail/color';
import type { TokenThemes } from 'fair-trail/internal/core';
import { outputColors as colors } from '../colors.ts';
import { Failure } from '../failure.ts';
import { ownTokens, readThemeFile } from '../input/theme-file.ts';
import { printable } from '../printable.ts';
import { table } from '../report/table.ts';
import { runWhileWatching } from '../watch.ts';
import { writeFiles } from '../writers/write-files.ts';

interface TokensOptions {
  readonly from?: readonly string[];
  readonly out?: string;
  readonly format: 'text' | 'json';
  readonly force?: boolean;
  readonly watch?: boolean;
}

export function addTokensCommand(program: Command): void {
  program
    .command('tokens')
    .summary('check the colors of a theme and write its stylesheet')
    .description(
      'Reads a file of design tokens, or derives a theme from one or two brand colors, and reports the contrast of every ' +
        'pair of adjacent colors, in every state and scheme. Exits with 1 if a pair is below level AA of WCAG 2.2; ' +
        'nothing is written then.',
    )
    .argument('[tokens file]', 'a file of the Design Tokens Community Group; without it, the library’s own')
    .option('--from <colors...>', 'derive a theme from one or two colors such as "#1d5f6b"')
    .option('--out <FILE>', 'write the theme: a .css file of custom properties, or a .json file of design tokens')
    .addOption(new Option('--format <FORMAT>', 'how to print it').choices(['text', 'json']).default('text'))
    .option('--force', 'replace an existing file')
    .option('--watch', 'repeat when the tokens file changes, until stopped')
    .action(async (file: string | undefined, options: TokensOptions) => {
      if (options.watch !== true) {
        tokens(file, options);
        return;
      }
      if (file === undefined) throw new Failure('bad-usage', '--watch needs a tokens file to watch.');
      let isFirst = true;
      await runWhileWatching(file, () => {
        // What the command wrote itself may be written again.
        const force = (options.force ?? false) || !isFirst;
        tokens(file, { ...options, force });
        isFirst = false;
      });
    });
}

function tokens(file: string | undefined, options: TokensOptions): void {
  if (file !== undefined && options.from) {
    throw new Failure('bad-usage', 'Give a tokens file or --from, and not both: a theme comes from one of them.');
  }
  const read = options.from ? derived(options.from) : readThemeFile(file ?? ownTokens());
  const results = Object.entries(read.themes).flatMap(([theme, schemes]) =>
    (['light', 'dark'] as const).map((scheme) => ({ theme, scheme, pairs: checkPalette(schemes[scheme]) })),
  );
  const failed = results.flatMap(({ pairs }) => pairs).filter(({ passes }) => !passes).length;
  process.stdout.write(options.format === 'json' ? toJson(results) : toText(results, failed));
  if (failed > 0) {
    process.exitCode = 1;
    return;
  }
  if (options.out === undefined) return;
  writeFiles([{ path: options.out, text: themeText(options.out, read) }], options.force ?? false);
  process.stderr.write(`Wrote ${printable(options.out)}.\n`);
}

function derived(texts: readonly string[]): TokenThemes {
  const [brand, second, ...more] = texts.map(readBrandColor);
  if (!brand || more.length > 0) throw new Failure('bad-usage', '--from takes one color or two.');
  return { themes: { default: deriveTheme(brand, second) }, measures: {}, problems: [] };
}

function readBrandColor(text: string): Color {
  const color = readHex(text);
  if (!color) throw new Failure('bad-color', `"${printable(text)}" is no color. Write it as "#rrggbb", in quotes.`);
  return color;
}

function themeText(place: string, read: TokenThemes): string {
  if (place.endsWith('.css')) return tokensCss(read);
  const theme = read.themes['default'];
  if (place.endsWith('.json') && theme) return writeTokens(theme);
  throw new Failure('unknown-format', `The ending of "${printable(place)}" says neither .css nor .json.`);
}

interface SchemeResult {
  readonly theme: string;
  readonly scheme: 'light' | 'dark';
  readonly pairs: readonly PairResult[];
}

function toJson(results: readonly SchemeResult[]): string {
  const pairs = results.flatMap(({ theme, scheme, pairs: found }) =>
    found.map(({ pair, foreground, background, contrast, passes, nearest }) => ({
      theme,
      scheme,
      states: pair.states,
      what: pair.what,
      foreground: { name: pair.foreground, value: writeHex(foreground) },
      background: { name: pair.background, value: writeHex(background) },
      contrast: down(contrast),
      least: pair.least,
      passes,
      ...(nearest && { nearest: writeHex(nearest) }),
    })),
  );
  return `${JSON.stringify({ pairs, failed: pairs.filter(({ passes }) => !passes).length }, null, 2)}\n`;
}

function toText(results: readonly SchemeResult[], failed: number): string {
  const blocks = results.map(({ theme, scheme, pairs }) => {
    const rows = pairs.map((result) => row(result));
    return [colors.underline(`${printable(theme)}, ${scheme}`), ...table(rows).map((line) => `  ${line}`)].join('\n');
  });
  const count = results.reduce((sum, { pairs }) => sum + pairs.length, 0);
  if (count === 0) return 'The file has no color: those of the library are in force.\n';
  const verdict =
    failed === 0
      ? `All ${count} pairs have the contrast that level AA asks for.`
      : `${failed} of ${count} pairs ${failed === 1 ? 'has' : 'have'} too little contrast for level AA.`;
  return `${blocks.join('\n\n')}\n\n${verdict}\n`;
}

function row({ pair, foreground, background, contrast, passes, nearest }: PairResult): string[] {
  const remedy = nearest ? `make ${pair.foreground} ${writeHex(nearest)}` : `change ${pair.background} too`;
  const cells = [
    passes ? colors.green('ok') : colors.red('low'),
    `${down(contrast).toFixed(2).padStart(5)} ${colors.dim(`of ${pair.least}`)}`,
    `${pair.foreground} ${colors.dim(writeHex(foreground))}`,
    `on ${pair.background} ${colors.dim(writeHex(background))}`,
    pair.states.join(', '),
  ];
  return passes ? cells : [...cells, colors.red(remedy)];
}

/** Never rounded up: what is shown as 4.5 is no less. */
function down(contrast: number): number {
  return Math.floor(contrast * 100) / 100;
}
