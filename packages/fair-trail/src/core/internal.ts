// For the `fair-trail` command and this workspace. It promises nothing: what is here can change in any version.

export type { ProblemCode } from './site/problem-codes.ts';
export { addressOfTemplate } from './site/entry-templates.ts';
export { colorNames } from './color/palette.ts';
export type { TokenThemes } from './color/tokens.ts';
export { escapeMarkup, escapeXml } from './output/escape.ts';
export { decodeSegment } from './site/encoding.ts';
export { siteSchema } from './output/site-schema.ts';
export { declarationsPath, definitionType, siteDeclarations, toType } from './output/site-declarations.ts';
export { entryPointer } from './site/entry.ts';
export { unknownPosition } from './site/locate.ts';
export { everyMenuNode } from './site/site.ts';
export { partStates } from './view/states.ts';
export { writeTemplate } from './site/path-template.ts';
export { pageOf, type Report } from './report.ts';
