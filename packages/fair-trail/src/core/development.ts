/** Whether this is the development build, which checks what only a developer can put right. */
export const isDevelopment = true as boolean;
