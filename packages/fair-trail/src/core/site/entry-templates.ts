import type { Entry } from './entry.ts';
import { fillTemplate, namesInTemplate, paramValue, type Params, type PathTemplate } from './path-template.ts';
import type { Site } from './site.ts';

/** The address that a template makes, whatever entry it leads to; null if a param cannot be written. */
export function addressOfTemplate(site: Site, template: PathTemplate, params: Params, language: string): string | null {
  const filled = fillTemplate(template, params);
  return filled && addressIn(site, language, filled.address);
}

export function templatesOf({ language: own }: Site, { templates }: Entry, language: string): readonly PathTemplate[] {
  return (Object.hasOwn(templates, language) ? templates[language] : templates[own]) ?? [];
}

/** A path below the base and the prefix of its language. */
export function addressIn({ base, language: own, languages }: Site, language: string, path: string): string {
  const prefix = language === own || !languages.includes(language) ? '' : `/${language}`;
  // The home page of a language lies at the prefix itself.
  return base + (prefix && path === '/' ? prefix : prefix + path);
}

/** Whether each of the params that are given has its place in the template. */
export function hasAll({ paramNames, query }: Entry, template: PathTemplate, params: Params): boolean {
  const names = [...namesInTemplate(template), ...query];
  return paramNames.every((name) => names.includes(name) || !paramValue(params, name));
}
