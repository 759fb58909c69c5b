import type { KindCase } from '@north-pane/core/picking';
import * as z from 'zod';

/** What a builder owns and dares: kinds that ask for more are left out. */
export const filterIds = ['no-torch', 'own-tools', 'drunk', 'frost', 'on-hand'] as const;
export type FilterId = (typeof filterIds)[number];

export const filterWords: Readonly<Record<FilterId, string>> = {
  'no-torch': 'without a torch',
  'own-tools': 'with tools I have',
  drunk: 'fit to drink',
  frost: 'through frost',
  'on-hand': 'from what I have',
};

export const pickSchema = z.strictObject({
  filters: z.array(z.enum(filterIds)),
  chosen: z.string().optional(),
});

/** Why a filter leaves a kind out; nothing where it does not. */
export function leftOutBy(filter: FilterId, one: KindCase, have: ReadonlySet<string>): string | undefined {
  switch (filter) {
    case 'no-torch':
      return one.skills.includes('soldering') ? 'needs a torch' : undefined;
    case 'own-tools': {
      const missing = one.tools.filter((tool) => !have.has(tool));
      return missing.length === 0
        ? undefined
        : `you lack ${missing.slice(0, 3).join(', ')}${missing.length > 3 ? ` and ${missing.length - 3} more` : ''}`;
    }
    case 'drunk':
      return one.neverDrunk === undefined ? undefined : `never drunk: ${one.neverDrunk}`;
    case 'frost':
      return one.frost.stands || Math.round(one.frost.nights) === 0 ? undefined : 'holds its water in frost';
    case 'on-hand':
      return one.taken.length + one.shed.length > 0 ? undefined : 'takes nothing of what is on hand';
    default:
      return filter satisfies never;
  }
}

/** Why a kind is left out by what is asked; empty where it is not. */
export function leftOut(filters: readonly FilterId[], one: KindCase, have: ReadonlySet<string>): string[] {
  return filters.flatMap((filter) => leftOutBy(filter, one, have) ?? []);
}

/** What the columns of the line-up are sorted by; what cannot be worked out comes last. */
export const sortValue = {
  year: ({ year }: KindCase) => year.likely,
  wanted: ({ wanted }: KindCase) => wanted,
  winter: ({ winter }: KindCase) => winter,
  summer: ({ summer }: KindCase) => summer,
  hottest: ({ hottest }: KindCase) => hottest ?? 0,
  cost: ({ cost }: KindCase) => cost ?? Number.MAX_VALUE,
  hours: ({ hours }: KindCase) => hours.likely,
} as const;
