declare const brandOf: unique symbol;

/** Marks a plain value with what it stands for, so that a lot's id cannot be passed as an order's id. */
export type Brand<T, Name extends string> = T & { readonly [brandOf]: Name };
