/** What this browser is called in the log of the shop: the same at every visit. */
const key = 'north-pane-device';

let known: string | undefined;

export function deviceName(): string {
  known ??= readName();
  return known;
}

function readName(): string {
  const made = `device-${crypto.randomUUID().slice(0, 8)}`;
  try {
    const found = localStorage.getItem(key);
    if (found) return found;
    localStorage.setItem(key, made);
  } catch {
    // A store that is forbidden: another name at every visit.
  }
  return made;
}
