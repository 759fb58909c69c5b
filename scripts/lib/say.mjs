/** Words to the person at the terminal. */
export function say(text) {
  console.log(text);
}

/** Stops with a sentence and the way out, and no stack. */
export function stop(text) {
  console.error(text);
  process.exit(1);
}
