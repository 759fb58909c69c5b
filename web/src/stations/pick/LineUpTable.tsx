import { Box, Flex, Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { openJob } from '@north-pane/core/job';
import { type KindCase, sayHeat } from '@north-pane/core/picking';
import { formatMoney, formatNumber, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { sayMonths } from '@north-pane/core/sky';
import { Check, Minus } from 'lucide-react';
import { useId } from 'react';
import { type ColumnDef, DataTable } from '../../parts/DataTable';
import { Radio, radioFocus } from '../../parts/Radio';
import { Silhouette } from '../../parts/Silhouette';
import { Bar } from './Bar';
import { sortValue } from './filters';

const size = { width: 78, height: 48 };

function Outline({ job }: { job: Job }) {
  const plan = openJob(job).panels[0]?.design.drawings.plan.draw();
  return plan ? <Silhouette drawing={plan} size={size} /> : null;
}

const frostWords = { empties: 'runs empty', glycol: 'glycol', slow: 'for some nights', holds: 'emptied' } as const;

/** Yes or no, in a sign and in words. */
function Sign({ yes, words }: { yes: boolean; words: string }) {
  const Icon = yes ? Check : Minus;
  return (
    <Flex align="center" gap="1" color={yes ? 'paneText' : 'soft'} fontSize="14px" lineHeight="1.15">
      <Icon size={15} aria-hidden style={{ flexShrink: 0 }} />
      {words}
    </Flex>
  );
}

/** All kinds that are asked for, each as it would be here: silhouettes, bars, and what decides. Sorted by its heads. */
export function LineUpTable(props: {
  kinds: readonly KindCase[];
  job: Job;
  habit: Habit;
  chosen: string;
  onChoose(family: string): void;
}) {
  const { kinds, job, habit, chosen, onChoose } = props;
  const group = useId();
  const most = (of: (one: KindCase) => number) => Math.max(1e-9, ...kinds.map(of));
  const [year, day, hot] = [
    most((one) => one.year.high),
    most((one) => Math.max(one.summer, one.winter)),
    most((one) => one.hottest ?? 0),
  ];
  const wanted = most((one) => one.wanted);
  const { months } = job.need;
  const [cost, hours] = [most((one) => one.cost ?? 0), most((one) => one.hours.likely)];
  const columns: ColumnDef<KindCase, number>[] = [
    {
      id: 'kind',
      header: 'kind',
      enableSorting: false,
      cell: ({ row: { original: one } }) => (
        <Flex align="center" gap="2" position="relative" minW="188px" minH="58px" css={radioFocus}>
          <Radio group={group} label={one.name} checked={one.family === chosen} onChoose={() => onChoose(one.family)} />
          <Box w={`${size.width}px`} flexShrink={0}>
            <Outline job={one.job} />
          </Box>
          <Box>
            <Text fontFamily="heading" fontWeight="600" fontSize="17px" lineHeight="1.15">
              {one.name}
            </Text>
            <Text fontSize="13px" lineHeight="1.2">
              {one.subtitle}
            </Text>
            <Text fontSize="13px" color="soft" lineHeight="1.2">
              {one.count > 1 ? `${one.count} alike, ` : ''}
              {formatQuantity('area', one.aperture, habit).text}
            </Text>
          </Box>
        </Flex>
      ),
    },
    {
      id: 'year',
      header: 'a year',
      accessorFn: sortValue.year,
      sortDescFirst: true,
      cell: ({ row: { original: one } }) => (
        <Bar
          words={sayHeat(one.year.likely)}
          share={one.year.likely / year}
          band={{ low: one.year.low / year, high: one.year.high / year }}
        />
      ),
    },
    ...(months
      ? [
          {
            id: 'wanted',
            header: sayMonths(months),
            accessorFn: sortValue.wanted,
            sortDescFirst: true,
            cell: ({ row: { original: one } }) => (
              <Bar words={sayHeat(one.wanted)} share={one.wanted / wanted} tone="copper" />
            ),
          } satisfies ColumnDef<KindCase, number>,
        ]
      : []),
    // The months that are wanted say more than a day of one of them.
    ...(months
      ? []
      : [
          {
            id: 'summer',
            header: 'summer day',
            accessorFn: sortValue.summer,
            sortDescFirst: true,
            meta: { wide: true },
            cell: ({ row: { original: one } }) => (
              <Bar words={sayHeat(one.summer)} share={one.summer / day} tone="ochre" />
            ),
          } satisfies ColumnDef<KindCase, number>,
        ]),
    {
      id: 'winter',
      header: 'winter day',
      accessorFn: sortValue.winter,
      sortDescFirst: true,
      meta: { wide: true },
      cell: ({ row: { original: one } }) => (
        <Bar words={one.winter > 0 ? sayHeat(one.winter) : 'none'} share={one.winter / day} tone="pane" />
      ),
    },
    {
      id: 'hottest',
      header: 'hottest',
      accessorFn: sortValue.hottest,
      sortDescFirst: false,
      meta: { wide: true },
      cell: ({ row: { original: one } }) => (
        <Bar
          words={one.hottest === undefined ? 'no figure' : formatQuantity('temperature', one.hottest, habit, 0).text}
          share={(one.hottest ?? 0) / hot}
          tone="soft"
        />
      ),
    },
    {
      id: 'cost',
      header: 'to buy',
      accessorFn: sortValue.cost,
      sortDescFirst: false,
      cell: ({ row: { original: one } }) => (
        <Bar
          words={one.cost === undefined ? 'no figure' : formatMoney(one.cost, job.currency, 0)}
          share={(one.cost ?? 0) / cost}
          tone="soft"
        />
      ),
    },
    {
      id: 'hours',
      header: 'work',
      accessorFn: sortValue.hours,
      sortDescFirst: false,
      meta: { wide: true },
      cell: ({ row: { original: one } }) => (
        <Bar words={`${formatNumber(one.hours.likely, 0)} h`} share={one.hours.likely / hours} tone="soft" />
      ),
    },
    {
      id: 'stands',
      header: 'frost, drink, skill',
      enableSorting: false,
      meta: { wide: true },
      cell: ({ row: { original: one } }) => (
        <Box minW="92px">
          <Sign
            yes={one.frost.stands || Math.round(one.frost.nights) === 0}
            words={Math.round(one.frost.nights) === 0 ? 'no frost' : frostWords[one.frost.answer]}
          />
          <Sign
            yes={one.neverDrunk === undefined}
            words={one.neverDrunk === undefined ? 'drinkable' : 'not to drink'}
          />
          <Sign yes={one.skills.length === 0} words={one.skills.length === 0 ? 'no torch' : one.skills.join(', ')} />
        </Box>
      ),
    },
  ];
  return (
    <DataTable
      label="Kinds of heater"
      rows={kinds}
      columns={columns}
      idOf={({ family }) => family}
      marked={({ family }) => family === chosen}
      sortFirst={[{ id: 'year', desc: true }]}
    />
  );
}
