// For the `fair-trail` command and this workspace. It promises nothing: what is here can change in any version.

export { attributeName } from './view/option-attributes.ts';
export { changeText } from './site/change-texts.ts';
export { detailNames, entryDetails } from './site/field-table.ts';
export type { ProblemCode } from './site/problem-codes.ts';
export { addressOfTemplate } from './site/entry-templates.ts';
export { colorNames, colorPairs, type ColorName, type ColorPair } from './color/palette.ts';
export {
  measureCss,
  measureTokens,
  typesOfGroup,
  type MeasureToken,
  type MeasureType,
  type TokenSection,
} from './color/measures.ts';
export { followReference, isReference } from './color/token-references.ts';
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
