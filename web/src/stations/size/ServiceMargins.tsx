import { Box, Dialog, Text } from '@chakra-ui/react';
import { loopPipes, solderRatedTo } from '@north-pane/core/catalogue';
import type { ServiceMargin } from '@north-pane/core/cautions';
import { formatQuantity, type Habit } from '@north-pane/core/quantity';
import { useState } from 'react';
import { Choice } from '../../parts/Choice';
import { type ColumnDef, DataTable } from '../../parts/DataTable';
import { Frame } from '../../parts/Frame';
import { useDocument, useJob } from '../../state/job';
import { ink } from '../../theme/ink';

/** The tightest material of every place, in the order in which the places lie from the sun inward. */
function tightest(margins: readonly ServiceMargin[]): ServiceMargin[] {
  const first = new Map<string, ServiceMargin>();
  for (const one of margins) if (!first.has(one.place)) first.set(one.place, one);
  return [...first.values()].sort((a, b) => a.order - b.order);
}

function temperature(value: number, habit: Habit): string {
  return formatQuantity('temperature', value, habit, 0).text;
}

/** What it meets likely, and at the upper edge: `132 to 141 °C`. */
function span({ sees, high }: ServiceMargin, habit: Habit): string {
  const low = formatQuantity('temperature', sees, habit, 0).number;
  const edge = formatQuantity('temperature', high, habit, 0);
  return low === edge.number ? edge.text : `${low} to ${edge.text}`;
}

const row = {
  display: 'grid',
  gridTemplateColumns: '90px 1fr auto',
  gap: 8,
  alignItems: 'center',
  height: 22,
} as const;

const bar = { display: 'block', height: 12 } as const;

/** What it meets as a filled bar, fainter to the upper edge of its band, with a dark line where its limit is. */
function filled({ sees, high, limit, margin }: ServiceMargin, most: number): string {
  const share = (value: number) => `${Math.min(100, (100 * value) / most).toFixed(1)}%`;
  const full = ink(margin < 0 ? 'ochre' : 'hot');
  const faint = `color-mix(in srgb, ${full} 45%, ${ink('line')})`;
  const meets = `linear-gradient(to right, ${full} ${share(sees)}, ${faint} ${share(sees)}, ${faint} ${share(high)}, ${ink('line')} ${share(high)})`;
  if (limit >= most) return meets;
  const line = `transparent ${share(limit)}, ${ink('ink')} ${share(limit)}, ${ink('ink')} calc(${share(limit)} + 2.5px), transparent calc(${share(limit)} + 2.5px)`;
  return `linear-gradient(to right, ${line}), ${meets}`;
}

/**
 * The tightest material of every layer against the heat it meets in a dry panel, in the order of the section. Of plain
 * elements: it moves with every step of the tape.
 */
export function ServiceMargins({ margins, habit }: { margins: readonly ServiceMargin[]; habit: Habit }) {
  const [all, setAll] = useState(false);
  const tight = tightest(margins);
  const most = Math.max(150, ...tight.map(({ high }) => high)) * 1.05;
  return (
    <section aria-label="What overheats, empty in full sun" style={{ fontSize: 14 }}>
      <div style={{ display: 'flex', justifyContent: 'space-between', alignItems: 'baseline', marginBottom: 4 }}>
        <h2 style={{ fontFamily: 'var(--np-fonts-heading)', fontWeight: 600, fontSize: 16 }}>
          What overheats, empty in full sun
        </h2>
        <button
          type="button"
          className="plain-target"
          onClick={() => setAll(true)}
          style={{ color: ink('paneText'), cursor: 'pointer', textDecoration: 'underline' }}
          aria-label={`What overheats: all ${margins.length}`}
        >
          all {margins.length}
        </button>
      </div>
      {tight.map((one) => {
        const { place, short, name, sees, high, limit, margin } = one;
        return (
          <div
            key={place}
            style={row}
            title={`${name}: meets ${temperature(sees, habit)}, one panel in twenty ${temperature(high, habit)} or more; stands ${temperature(limit, habit)}`}
          >
            <span style={{ overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' }}>
              {margin < 0 ? name : short}
            </span>
            <span style={{ ...bar, background: filled(one, most) }} aria-hidden />
            <span
              style={{
                textAlign: 'right',
                whiteSpace: 'nowrap',
                fontWeight: margin < 0 ? 600 : 400,
                color: margin < 0 ? ink('ochreText') : undefined,
              }}
            >
              {span(one, habit)}
              {margin < 0 ? `, ${formatQuantity('temperature', limit, habit, 0).number} max` : ''}
            </span>
          </div>
        );
      })}
      {all && <AllServiceMargins margins={margins} habit={habit} onClose={() => setAll(false)} />}
    </section>
  );
}

function AllServiceMargins({
  margins,
  habit,
  onClose,
}: {
  margins: readonly ServiceMargin[];
  habit: Habit;
  onClose(): void;
}) {
  return (
    <Frame title="What overheats" wide onClose={onClose}>
      <Dialog.Body>
        <Text mb="3">
          The panel stands dry, nothing flows, in the hottest clear hour. Every builder meets this hour: on the first
          day, in a week when nobody comes, when the pump fails. Two numbers: the likely one, and what one panel in
          twenty exceeds. The margin counts from the second.
        </Text>
        <LoopPipe />
        <DataTable
          label="Materials against their heat"
          rows={margins}
          columns={marginColumns(habit)}
          idOf={({ panel, place, name }) => `${panel}-${place}-${name}`}
          tone={({ margin }) => (margin < 0 ? 'ochreText' : undefined)}
          filter="Find a material"
        />
        <Text fontSize="13px" color="soft" mt="3">
          A sensor that is past its limit goes in a pocket on the outlet stub, not on the plate; cable past its limit
          leaves through the back in a silicone sleeve. Limits are those of the usual kind: read the data sheet of
          yours.
        </Text>
      </Dialog.Body>
    </Frame>
  );
}

function marginColumns(habit: Habit): ColumnDef<ServiceMargin>[] {
  const weight = ({ margin }: ServiceMargin) => (margin < 0 ? 600 : 400);
  return [
    {
      accessorKey: 'name',
      header: 'material',
      meta: { weight },
      cell: ({ row: { original: one } }) => (
        <>
          {one.name}
          {one.joint && (
            <Text fontSize="13px" color="soft" fontWeight="400">
              {jointWords(one.joint, habit)}
            </Text>
          )}
        </>
      ),
    },
    { id: 'where', accessorFn: ({ words }) => words, header: 'where', meta: { weight } },
    {
      accessorKey: 'sees',
      header: 'meets',
      meta: { end: true, weight },
      cell: ({ row }) => span(row.original, habit),
    },
    {
      accessorKey: 'limit',
      header: 'stands',
      meta: { end: true, weight },
      cell: ({ row }) => temperature(row.original.limit, habit),
    },
    {
      accessorKey: 'margin',
      header: 'margin',
      meta: { end: true, weight },
      cell: ({ row }) => formatQuantity('temperatureDifference', row.original.margin, habit, 0).text,
    },
  ];
}

/** What the loop is made of: it overheats too, when the panel's steam pushes boiling water back down. */
function LoopPipe() {
  const { pipe } = useDocument().loop;
  const change = useJob((state) => state.change);
  return (
    <Box maxW="340px" mb="3">
      <Choice
        label="Pipes between panel and store"
        value={pipe ?? ''}
        choices={[
          { value: '', words: 'not settled' },
          ...Object.entries(loopPipes).map(([value, { name }]) => ({ value, words: name })),
        ]}
        onValue={(value) => change('loop.pipe', value === '' ? undefined : value)}
      />
    </Box>
  );
}

function jointWords({ holds }: NonNullable<ServiceMargin['joint']>, habit: Habit): string {
  const heat = formatQuantity('temperature', solderRatedTo, habit, 0).text;
  return holds === undefined
    ? `above ${heat} no soft-soldered joint has a pressure rating: the panel must be open to the air then`
    : `a capillary fitting still holds ${formatQuantity('pressure', holds, habit).text}; a drilled header far less`;
}
