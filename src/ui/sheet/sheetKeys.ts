/** Option cards have the role of radio buttons; a chosen one keeps the focus and must not swallow the keys. */
export const SHEET_KEYS = { preventDefault: true, enableOnFormTags: ['radio'] as const };
