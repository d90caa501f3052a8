export const isDevelopment = false;
