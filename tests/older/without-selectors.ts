import postcss from 'postcss';
import type { Plugin } from 'vite';

/** What a browser that does not know them drops: rules whose selectors have this. */
const unknownSelector = ':has(';

/** Values that it drops with their declarations: what comes before them stays. */
const unknownValues = /\b(?:dvh|dvb|dvi|cqi|cqb|color-mix\(|light-dark\(|anchor\()/u;

/** Stylesheets as a browser of four years ago reads them. */
export function withoutSelectors({ containers }: { readonly containers: boolean }): Plugin {
  return {
    name: 'older-stylesheets',
    enforce: 'pre',
    transform(code, id) {
      if (!/\.css(?:$|\?)/u.test(id)) return null;
      const sheet = postcss.parse(code);
      sheet.walkRules((rule) => {
        if (rule.selector.includes(unknownSelector)) rule.remove();
        // The name that it has here: `remove-features.ts`.
        else rule.selector = rule.selector.replaceAll('[inert]', '[data-no-inert]');
      });
      sheet.walkDecls((declaration) => {
        if (unknownValues.test(declaration.value)) declaration.remove();
      });
      if (containers) sheet.walkAtRules('container', (rule) => void rule.remove());
      return { code: sheet.toString(), map: null };
    },
  };
}
