/** Classes of PostgreSQL's and the network's own codes, with what a builder is told of them and the status they answer with. */
const failures: readonly { codes: RegExp; status: 404 | 413 | 503 | 507; message: string }[] = [
  {
    codes: /^ERR_WORKER_OUT_OF_MEMORY$/,
    status: 413,
    message: 'That file takes more room than there is. Cut it into parts and send them one by one.',
  },
  {
    codes: /^23503$/,
    status: 404,
    message: 'What this belongs to was deleted meanwhile. Nothing of this was kept.',
  },
  {
    codes: /^53100$|^ENOSPC$/,
    status: 507,
    message: 'The disk of the database is full. Nothing of this was kept; make room and send it once more.',
  },
  {
    codes: /^(53200|53300|53400)$/,
    status: 503,
    message: 'The database has no room for more just now. Nothing of this was kept; try once more in a minute.',
  },
  {
    codes: /^(40P01|40001)$/,
    status: 503,
    message:
      'Somebody else wrote to the same job at this moment. Nothing of this was kept; it is tried again by itself.',
  },
  {
    codes: /^57014$/,
    status: 503,
    message: 'The database took too long over this and was stopped. Nothing of it was kept.',
  },
  {
    codes: /^(08\w{3}|57P0[1-5]|ECONNREFUSED|ECONNRESET|EPIPE|ENOTFOUND|ETIMEDOUT)$/,
    status: 503,
    message: 'The database does not answer just now. Nothing of this was kept; it is tried again by itself.',
  },
];
/** What the pool and the driver say in words where they give no code. */
const lostConnection =
  /connection terminated|timeout exceeded when trying to connect|not queryable|client has encountered a connection error/i;

/** The code that the database or the network gave a failure; empty where it has none. */
function codeOf(error: unknown): string {
  const root = rootOf(error);
  return root instanceof Error && 'code' in root ? String(root.code) : '';
}

/** Whether a failure is the database's refusal of a row that is there already. */
export function isDuplicate(error: unknown): boolean {
  return codeOf(error) === '23505';
}

/** Times that a write is tried when others write at the same moment. */
const mostTries = 4;

/**
 * Writes once more where others have written at the same moment: a row that was not there is, or two of them waited for each other and this one
 * was ended for it. The write is one statement or one transaction: nothing of it stands then.
 */
export async function againAfterOthers<T>(write: () => Promise<T>): Promise<T> {
  for (let tries = 1; ; tries += 1) {
    try {
      return await write();
    } catch (error) {
      if (tries >= mostTries || !/^(23505|40P01|40001)$/.test(codeOf(error))) throw error;
    }
  }
}

/** The error that began it: query builders wrap what the database said. */
function rootOf(error: unknown): unknown {
  let found = error;
  for (let depth = 0; depth < 5 && found instanceof Error && found.cause !== undefined; depth += 1) found = found.cause;
  return found;
}

/** What a failure is to the caller: his to wait for, or a fault of the program. Nothing of the request stands in it. */
export function failureOf(error: unknown): { status: 404 | 413 | 500 | 503 | 507; message: string } {
  const root = rootOf(error);
  const code = root instanceof Error && 'code' in root ? String(root.code) : '';
  const found = failures.find(({ codes }) => codes.test(code));
  if (found) return { status: found.status, message: found.message };
  if (root instanceof Error && lostConnection.test(root.message))
    return { status: 503, message: failures[failures.length - 1]?.message ?? '' };
  return { status: 500, message: 'Something broke on the server. What you have here is not lost; try once more.' };
}

/**
 * A failure for the log: what and where, and never what was sent. A query builder writes the statement with its parameters into its
 * message, and those hold whole documents.
 */
export function logLine(error: unknown): string {
  const root = rootOf(error);
  if (!(root instanceof Error)) return 'something was thrown that is no error';
  const code = 'code' in root ? ` ${String(root.code)}` : '';
  const words = root.message.split('\n')[0]?.slice(0, 200) ?? '';
  const frames = (root.stack ?? '')
    .split('\n')
    .filter((line) => /^\s+at /.test(line))
    .slice(0, 6)
    .join('\n');
  return `${root.name}${code}: ${words}\n${frames}`;
}
