import { Button, Flex, Text } from '@chakra-ui/react';
import { formatAim, formatNumber, formatRough, type Habit } from '@north-pane/core/quantity';
import { type SchoolResult, type StandingStudy, sayMonths, seasonMonths } from '@north-pane/core/sky';
import { type ColumnDef, DataTable } from '../../parts/DataTable';

interface SchoolsProps {
  study: StandingStudy;
  latitude: number;
  habit: Habit;
  onStand(pane: { tilt: number; aim: number }): void;
}

/** On a phone the name, the year and the share are enough; the seasons are for a wider screen. */
const narrow = { base: 'block', md: 'none' } as const;

const stands = (school: SchoolResult) => `${formatNumber(school.tilt)}°, ${formatAim(school.aim)}`;

/** What each school of tilting gets at this place, the best of each column in bold, and what moving the pane would add. */
export function Schools({ study, latitude, habit, onStand }: SchoolsProps) {
  const { winter, summer } = seasonMonths(latitude);
  const most = (of: (school: SchoolResult) => number) => Math.max(...study.schools.map(of));
  const sum = (value: number) => formatRough('insolation', value, habit).number;
  const { unit } = formatRough('insolation', 0, habit);
  const columns = [
    { head: `year, ${unit}`, of: (school: SchoolResult) => school.year },
    { head: sayMonths(winter), of: (school: SchoolResult) => school.winter },
    { head: sayMonths(summer), of: (school: SchoolResult) => school.summer },
  ];
  const defs: ColumnDef<SchoolResult>[] = [
    {
      accessorKey: 'name',
      header: 'How it stands',
      cell: ({ row: { original: school } }) => (
        <>
          <Text fontWeight="600">{school.name}</Text>
          <Text display={narrow}>{stands(school)}</Text>
          <Text fontSize="13px" color="soft">
            {school.reason}
          </Text>
        </>
      ),
    },
    {
      accessorKey: 'tilt',
      header: 'tilt, aim',
      meta: { wide: true },
      cell: ({ row }) => <Text whiteSpace="nowrap">{stands(row.original)}</Text>,
    },
    ...columns.map(
      ({ head, of }, index): ColumnDef<SchoolResult> => ({
        id: head,
        accessorFn: of,
        header: head,
        meta: {
          end: true,
          ...(index > 0 ? { wide: true } : {}),
          weight: (school) => (of(school) >= most(of) * 0.999 ? 700 : 400),
        },
        cell: ({ row }) => sum(of(row.original)),
      }),
    ),
    {
      accessorKey: 'share',
      header: 'of the best',
      meta: { end: true },
      cell: ({ row }) => `${formatNumber(row.original.share * 100)} %`,
    },
    {
      id: 'take',
      header: '',
      meta: { end: true },
      cell: ({ row: { original: school } }) =>
        school.id !== 'as-it-stands' && (
          <Button
            size="xs"
            variant="outline"
            aria-label={`Stand it so: ${school.name}`}
            onClick={() => onStand({ tilt: Math.round(school.tilt), aim: Math.round(school.aim) % 360 })}
          >
            Stand it so
          </Button>
        ),
    },
  ];
  return (
    <>
      <DataTable
        label="Schools compared"
        rows={study.schools}
        columns={defs}
        idOf={({ id }) => id}
        marked={({ id }) => id === 'as-it-stands'}
      />
      <Moving study={study} />
    </>
  );
}

/** What a pane that is moved adds over the best fixed tilt at this aim. */
function Moving({ study }: { study: StandingStudy }) {
  const { two, monthly, best } = study;
  const more = (sun: number) => {
    const share = (sun / best.year.sun - 1) * 100;
    return `${share >= 0 ? '+' : '−'}${formatNumber(Math.abs(share), 1)} %`;
  };
  if (best.year.sun <= 0) return null;
  return (
    <Flex gap="6" wrap="wrap" mt="3" fontSize="14px">
      <Text maxW="420px">
        <b>Moved twice a year</b>, at this aim: {two.steep.tilt}° {sayMonths(two.steep.months)}, {two.shallow.tilt}°{' '}
        {sayMonths(two.shallow.months)}: {more(two.sun)} against the best fixed pane.
      </Text>
      <Text maxW="420px">
        <b>Moved every month</b>: from {Math.min(...monthly.tilts)}° to {Math.max(...monthly.tilts)}°:{' '}
        {more(monthly.sun)}.
      </Text>
    </Flex>
  );
}
