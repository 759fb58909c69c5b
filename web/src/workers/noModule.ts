/** Stands where a browser build would reach for Node’s own modules; nothing calls it there. */
export const createRequire = undefined;
