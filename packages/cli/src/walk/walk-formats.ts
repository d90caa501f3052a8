export const walkFormats = ['text', 'json', 'junit'] as const;
export type WalkFormat = (typeof walkFormats)[number];
