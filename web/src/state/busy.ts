/** How much is being worked out, or will be after a moment of quiet. */
let count = 0;

/** Told when nothing is being worked out any more. */
const waiting: (() => void)[] = [];

function show(): void {
  if (count === 0) for (const told of waiting.splice(0)) told();
  if (typeof document === 'undefined') return;
  if (count > 0) document.documentElement.dataset.busy = String(count);
  else delete document.documentElement.dataset.busy;
}

/**
 * Says on the page that something is being worked out: `data-busy` on the root counts it. Whoever waits for the page, a journey or a printer,
 * waits until it is gone.
 *
 * @returns says that it is done, or no longer wanted; what is said twice counts once
 */
export function beginWork(): () => void {
  count += 1;
  show();
  let over = false;
  return () => {
    if (over) return;
    over = true;
    count -= 1;
    show();
  };
}

/** Once nothing is being worked out, and nothing has been begun by what came of it. */
export async function whenIdle(): Promise<void> {
  for (;;) {
    if (count > 0) await new Promise<void>((resolve) => waiting.push(resolve));
    // What has just come is shown first: that may ask for more.
    await new Promise((resolve) => setTimeout(resolve, 50));
    if (count === 0) return;
  }
}
