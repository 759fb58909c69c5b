export function say(text: string): void;
export function stop(text: string): never;
export function diskWords(error: unknown): string | undefined;
export function explainDisk(): void;
