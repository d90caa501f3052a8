import { accessibleNames, aria, ariaInHtml } from './aria.ts';
import { html } from './html.ts';
import { patterns } from './patterns.ts';
import type { Standard } from './statement.ts';
import { others, wcag } from './wcag.ts';

/** Every sentence that navigation can break, by standard. */
export const standards: readonly Standard[] = [wcag, aria, ariaInHtml, accessibleNames, patterns, html, others];
