/** Where in a value there is text that no database keeps: a NUL, or half of a surrogate pair. Undefined when there is none. */
export function unkeepable(value: unknown, path: readonly (string | number)[] = []): string | undefined {
  if (typeof value === 'string') return value.includes('\0') || !value.isWellFormed() ? path.join('.') : undefined;
  if (Array.isArray(value)) {
    for (const [index, one] of value.entries()) {
      const found = unkeepable(one, [...path, index]);
      if (found !== undefined) return found;
    }
    return undefined;
  }
  if (typeof value !== 'object' || value === null) return undefined;
  for (const [key, one] of Object.entries(value)) {
    const found = unkeepable(key, [...path, 'a name']) ?? unkeepable(one, [...path, key]);
    if (found !== undefined) return found;
  }
  return undefined;
}
