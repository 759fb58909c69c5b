export function create(place: string, password: string, extra: readonly string[]): void;
export function run(
  place: string,
  settings: Record<string, string>,
  pickPort?: () => Promise<number>,
): Promise<{ port: number; isUp(): boolean; stop(): unknown }>;
/** A folder that the database may write in. */
export function clusterFolder(): string;
