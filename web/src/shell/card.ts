/** What of a job the menu of its card needs. */
export interface CardOf {
  id: string;
  version: number;
  name: string;
  putAway: boolean;
  unreadable?: string | undefined;
}

export type CardAction = 'copy' | 'rename' | 'delete';
