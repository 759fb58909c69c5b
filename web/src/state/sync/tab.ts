/** Names of windows and the locks that tell which of them are open. */
const key = 'north-pane-tab';
const lockOf = (tab: string) => `north-pane tab ${tab}`;

let mine: Promise<string> | undefined;

/**
 * Name of this window: the same after it is loaded again, another in every other window. It holds a lock for as long as it is open; a
 * window that was doubled takes a name of its own.
 */
export function tabName(): Promise<string> {
  mine ??= claim(remembered());
  return mine;
}

function remembered(): string {
  try {
    return sessionStorage.getItem(key) ?? crypto.randomUUID();
  } catch {
    return crypto.randomUUID();
  }
}

function claim(name: string): Promise<string> {
  return new Promise((resolve) => {
    const keep = () => {
      try {
        sessionStorage.setItem(key, name);
      } catch {
        // A store that is forbidden: another name after the next load.
      }
      resolve(name);
    };
    if (!navigator.locks) {
      keep();
      return;
    }
    void navigator.locks.request(lockOf(name), { ifAvailable: true }, (lock) => {
      if (!lock) {
        resolve(claim(crypto.randomUUID()));
        return undefined;
      }
      keep();
      // Held until the window is closed.
      return new Promise<never>(() => {});
    });
  });
}

/** Which of some windows are closed: nobody holds their locks. None where the browser cannot tell. */
export async function closedTabs(tabs: readonly string[]): Promise<string[]> {
  if (!navigator.locks) return [];
  const { held = [] } = await navigator.locks.query();
  const open = new Set(held.map(({ name }) => name));
  return tabs.filter((tab) => !open.has(lockOf(tab)));
}

/** Does something in the place of a window that is closed, unless somebody else does. */
export async function holdTab(tab: string, work: () => Promise<void>): Promise<void> {
  if (!navigator.locks) return;
  await navigator.locks.request(lockOf(tab), { ifAvailable: true }, (lock) => (lock ? work() : undefined));
}
