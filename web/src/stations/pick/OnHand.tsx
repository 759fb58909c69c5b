import { Box, Button, Flex, SimpleGrid, Text } from '@chakra-ui/react';
import { entries, entryName } from '@north-pane/core/catalogue';
import { freeId, putOnShelf, recountShelf } from '@north-pane/core/cutting';
import { type Job, onHandOf, thingsOnHand } from '@north-pane/core/document';
import { type Salvage, saySalvage, tankVolume, usualTank } from '@north-pane/core/families';
import { formatLength, type Habit, sayWords } from '@north-pane/core/quantity';
import { shelfOf } from '@north-pane/core/shoplog';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { Choice } from '../../parts/Choice';
import { Entry } from '../../parts/Entry';
import { Section } from '../../parts/Section';
import { carryOut, inShopNow, useJob } from '../../state/job';

type Kind = Salvage['kind'] | 'tube' | 'sheet';
const kinds: readonly { value: Kind; words: string }[] = [
  { value: 'pane', words: 'a pane' },
  { value: 'tank', words: 'a tank' },
  { value: 'hose', words: 'hose' },
  { value: 'bottles', words: 'bottles' },
  { value: 'tube', words: 'tube or coil' },
  { value: 'sheet', words: 'a sheet or board' },
];

/** Those of which there are several in the catalogue. */
type Listed = 'hose' | 'tube' | 'sheet';

interface Field {
  name: string;
  label: string;
  kind: 'length' | 'height' | 'number' | 'volume';
  first: number;
  /** Follows from the others and sets them; it is not kept. */
  follows?: boolean;
}
const count: Field = { name: 'count', label: 'How many', kind: 'number', first: 1 };
/** Fields of each, in the order in which they are measured. */
const fields: Readonly<Record<Kind, readonly Field[]>> = {
  pane: [
    { name: 'width', label: 'One side', kind: 'length', first: 0.76 },
    { name: 'height', label: 'Other side', kind: 'length', first: 1.18 },
    count,
  ],
  tank: [
    {
      name: 'volume',
      label: 'Holds',
      kind: 'volume',
      first: tankVolume({ diameter: 0.36, length: 0.98 }),
      follows: true,
    },
    { name: 'diameter', label: 'Across', kind: 'length', first: 0.36 },
    { name: 'length', label: 'Long', kind: 'length', first: 0.98 },
    count,
  ],
  hose: [{ name: 'length', label: 'How much', kind: 'height', first: 50 }],
  bottles: [
    { name: 'diameter', label: 'Across', kind: 'length', first: 0.088 },
    { name: 'height', label: 'Straight part', kind: 'length', first: 0.19 },
    { ...count, first: 60 },
  ],
  tube: [
    { name: 'length', label: 'Each long', kind: 'length', first: 2 },
    { ...count, first: 3 },
  ],
  sheet: [
    { name: 'width', label: 'One side', kind: 'length', first: 1.2 },
    { name: 'height', label: 'Other side', kind: 'length', first: 2.4 },
    count,
  ],
};

/** Words of a refusal at the place where it is typed. */
function refused(field: Field, value: number): string | undefined {
  if (field.kind === 'volume') return value > 0.01 && value <= 2 ? undefined : 'A tank holds 10 to 2 000 litres.';
  if (field.kind === 'number')
    return Number.isInteger(value) && value >= 1 && value <= 999 ? undefined : 'A whole number, 1 to 999.';
  return value > 0 && value <= (field.kind === 'height' ? 1000 : 100)
    ? undefined
    : 'Above nothing, and not longer than a hall.';
}

/** The tank as it is typed so far. */
function tankTyped(typed: Record<string, number>): { diameter: number; length: number } {
  const of = (name: string) => typed[`tank ${name}`] ?? fields.tank.find((one) => one.name === name)?.first ?? 0;
  return { diameter: of('diameter'), length: of('length') };
}

function Adding({ job, habit, onDone }: { job: Job; habit: Habit; onDone(): void }) {
  const change = useJob((state) => state.change);
  const [kind, setKind] = useState<Kind>('pane');
  const [typed, setTyped] = useState<Record<string, number>>({});
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const of = (list: Listed) =>
    entries(list)
      .filter((one) => one.tape === job.units)
      .map(({ id, name }) => ({ value: id, words: name }));
  const lists = { hose: of('hose'), tube: of('tube'), sheet: of('sheet') };
  const [item, setItem] = useState<Record<string, string>>({});
  const itemOf = (list: Listed) => item[list] ?? lists[list][0]?.value ?? '';
  const shown = fields[kind];
  const add = () => {
    const values = Object.fromEntries(
      shown.flatMap(({ name, first, follows }) => (follows ? [] : [[name, typed[`${kind} ${name}`] ?? first]])),
    );
    const { count: many = 1, ...size } = values;
    const outcome =
      kind === 'tube' || kind === 'sheet'
        ? carryOut(putOnShelf(inShopNow(), itemOf(kind), size as Parameters<typeof putOnShelf>[2], many))
        : change(['shop', 'things', freeId('thing', thingsOnHand(job.shop))], {
            kind,
            ...values,
            ...(kind === 'hose' ? { item: itemOf('hose') } : {}),
          });
    if (outcome.ok) onDone();
    else setTrouble(outcome.message);
  };
  return (
    <Box borderWidth="1px" borderColor="edge" borderRadius="3px" bg="card" p="2" mt="2">
      <Choice<Kind> label="I have" value={kind} choices={kinds} onValue={(value) => setKind(value)} />
      {(kind === 'hose' || kind === 'tube' || kind === 'sheet') && (
        <Choice
          label="Which"
          value={itemOf(kind)}
          choices={lists[kind]}
          onValue={(value) => setItem({ ...item, [kind]: value })}
        />
      )}
      <SimpleGrid columns={shown.length === 4 ? 2 : shown.length} gap="2" mt="1">
        {shown.map((field) => (
          <Entry
            key={`${kind} ${field.name}`}
            label={field.label}
            value={field.follows ? tankVolume(tankTyped(typed)) : (typed[`${kind} ${field.name}`] ?? field.first)}
            kind={field.kind}
            {...(field.kind === 'number' ? { digits: 0 } : {})}
            habit={habit}
            onValue={(value) => {
              const message = refused(field, value);
              if (message) return message;
              if (field.follows) {
                const { diameter, length } = usualTank(value);
                setTyped({ ...typed, 'tank diameter': diameter, 'tank length': length });
              } else {
                const key = `${kind} ${field.name}`;
                setTyped({ ...typed, [key]: value });
              }
              return undefined;
            }}
          />
        ))}
      </SimpleGrid>
      {kind === 'tank' && (
        <Text fontSize="13px" color="soft" mt="1">
          Only the volume is known? Type it: sizes are set as tanks of that volume usually are. Measure before you cut.
        </Text>
      )}
      {trouble && (
        <Text role="alert" color="brickText" fontSize="13px" mt="1">
          {trouble}
        </Text>
      )}
      <Flex gap="2" mt="2">
        <Button size="sm" variant="solid" onClick={add}>
          I have it
        </Button>
        <Button size="sm" variant="outline" onClick={onDone}>
          Cancel
        </Button>
      </Flex>
    </Box>
  );
}

/** What lies about that a heater could be made of, with its sizes. */
export function OnHand({ job, habit }: { job: Job; habit: Habit }) {
  const change = useJob((state) => state.change);
  const state = useJob((one) => one.shop);
  const [adding, setAdding] = useState(false);
  const lines = [
    ...thingsOnHand(job.shop).map((thing) => ({
      id: thing.id,
      words: sayWords(saySalvage(thing), habit),
      remove: () => change(['shop', 'things', thing.id], undefined),
    })),
    ...shelfOf(onHandOf(job.shop), state).flatMap((one) => {
      const name = entryName(one.item);
      if (!name || one.count < 1) return [];
      const sizes =
        'length' in one
          ? formatLength(one.length, habit).text
          : `${formatLength(one.width, habit).text} × ${formatLength(one.height, habit).text}`;
      return [
        {
          id: one.id,
          words: `${one.count} × ${name}, ${sizes}`,
          remove: () => carryOut(recountShelf(inShopNow(), one.id, 0)),
        },
      ];
    }),
  ];
  return (
    <Section title="On hand" aside="each kind takes what it can use">
      {lines.map(({ id, words, remove }) => (
        <Flex key={id} align="center" justify="space-between" gap="2" borderBottomWidth="1px" borderColor="line">
          <Text fontSize="15px">{words}</Text>
          <Button size="xs" variant="ghost" aria-label={`Not on hand any more: ${words}`} onClick={remove}>
            <X size={16} aria-hidden />
          </Button>
        </Flex>
      ))}
      {lines.length === 0 && !adding && (
        <Text fontSize="14px" color="soft">
          A salvaged pane, an old tank, hose, bottles, lengths of tube: with its size, each kind is drawn round it.
        </Text>
      )}
      {adding ? (
        <Adding job={job} habit={habit} onDone={() => setAdding(false)} />
      ) : (
        <Button size="sm" variant="outline" mt="2" onClick={() => setAdding(true)}>
          <Plus size={16} aria-hidden /> I have something
        </Button>
      )}
    </Section>
  );
}
