declare const process: { readonly env: { readonly NODE_ENV?: string } };

/**
 * Whether this is a development build. Bundlers replace the expression, and leave out of a production build what depends on
 * it; React itself is built by the same rule.
 */
export const isDevelopmentBuild = process.env.NODE_ENV !== 'production';
