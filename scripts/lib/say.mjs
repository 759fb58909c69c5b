/** Words to the person at the terminal. */
export function say(text) {
  console.log(text);
}

/** Stops with a sentence and the way out, and no stack. */
export function stop(text) {
  console.error(text);
  process.exit(1);
}

/** What a folder or disk refuses, in words, by the system's own codes; undefined for anything else. */
export function diskWords(error) {
  const { code, path } = error ?? {};
  const where = path ?? 'this folder';
  const found = {
    EACCES: `${where} belongs to another user or may not be written. Start as that user, or give it to yourself: chown -R $(id -un) .data`,
    EPERM: `${where} belongs to another user or may not be written. Start as that user, or give it to yourself: chown -R $(id -un) .data`,
    EROFS: `${where} lies on a disk that is mounted read-only. Mount it for writing, or copy the folder of North Pane to another disk.`,
    ENOSPC: `The disk that ${where} lies on is full. Make room and start again; what was saved is kept.`,
    EDQUOT: `Your share of the disk that ${where} lies on is used up. Make room and start again; what was saved is kept.`,
    ENOTDIR: `${where} should be a folder and is a file. Move it out of the way and start again.`,
    EEXIST: `${where} should be a folder and is a file. Move it out of the way and start again.`,
  };
  return found[code];
}

/** Has what a folder or disk refuses said in a sentence, wherever it happens; everything else is shown as it is. */
export function explainDisk() {
  process.on('uncaughtException', (error) => {
    console.error(diskWords(error) ?? error);
    process.exit(1);
  });
}
