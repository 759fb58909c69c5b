import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { entryName } from '@north-pane/core/catalogue';
import { formatNumber, type Habit, sayWords } from '@north-pane/core/quantity';
import { diagonalOf, faceOf, type Mate, mateWords, type Part, rowDistances, workWords } from '@north-pane/core/shop';
import { LengthText } from '../../parts/LengthText';
import { TickBox } from '../../parts/TickBox';
import { record, useJob } from '../../state/job';
import { ink } from '../../theme/ink';
import { BendsFigures } from './Bends';
import { HolesFigures, holesKey } from './Holes';
import { Miscut } from './Miscut';

/** One piece in shop-size figures: what to cut, where the holes are from one datum, and a tick for each. */
export function MarkOutCard({
  part,
  mate,
  habit,
  lit,
  onLit,
}: {
  part: Part;
  /** The same piece of the other hand, or under another name. */
  mate: Mate | undefined;
  habit: Habit;
  lit: boolean;
  onLit(part: string | undefined): void;
}) {
  const { holes = [] } = part;
  const work = workWords(part);
  const diagonal = diagonalOf(part);
  const changeAll = useJob((state) => state.changeAll);
  const tied = useJob((state) => state.document?.decisions.ties?.[part.id] !== undefined);
  const toggleTie = () => {
    // Left and right come off one length together.
    const word = mate && mate.part.id < part.id ? mate.part.id : part.id;
    const both = [part.id, ...(mate ? [mate.part.id] : [])];
    changeAll(both.map((id) => ({ path: ['decisions', 'ties', id], value: tied ? undefined : word })));
  };
  return (
    <Box
      as="article"
      aria-label={part.name}
      bg="card"
      borderWidth="1px"
      borderColor={lit ? 'pane' : 'line'}
      borderRadius="3px"
      p="3"
      mb="3"
      onMouseEnter={() => onLit(part.id)}
      onMouseLeave={() => onLit(undefined)}
    >
      <Flex justify="space-between" align="baseline" gap="2">
        <Text as="h3" fontFamily="heading" fontWeight="600" fontSize="17px">
          {part.name}
        </Text>
        <Text fontSize="14px" color="soft" textAlign="right">
          {part.count > 1 ? `${part.count} alike, ` : ''}
          {entryName(part.item)}
        </Text>
      </Flex>
      <Text
        fontFamily="heading"
        fontWeight="600"
        fontSize={{ base: '44px', md: '38px' }}
        lineHeight="1.15"
        data-testid={`cut-${part.id}`}
      >
        {part.kind === 'length' ? (
          <LengthText value={part.length} habit={habit} inchesOnly={part.length < 1} big {...fineRow(part)} />
        ) : (
          <>
            <LengthText value={part.height} habit={habit} bare /> × <LengthText value={part.width} habit={habit} big />
          </>
        )}
      </Text>
      {part.kind === 'length' && (holes.length > 0 || part.recesses) && <PieceStrip part={part} />}
      {holes.map((row) => (
        <HolesFigures key={holesKey(row)} holes={row} habit={habit} size="21px" />
      ))}
      {part.bends && <BendsFigures bends={part.bends} habit={habit} size="21px" />}
      {diagonal !== undefined && (
        <Text color="soft" fontSize="14px" mb="1">
          square when both diagonals are <LengthText value={diagonal} habit={habit} />
        </Text>
      )}
      {mate && (
        <Text fontSize="14px" color="copperText" mb="1">
          {said(mateWords(mate))}.
        </Text>
      )}
      {work.length > 0 && (
        <Text fontSize="14px" mb="2">
          {sayWords(work.join('; '), habit)}
        </Text>
      )}
      <Ticks part={part} />
      {part.kind === 'length' && (
        <Flex gap="2" mt="3" wrap="wrap">
          <Miscut part={part} habit={habit} />
          {(part.count > 1 || mate || tied) && (
            <Button
              size="xs"
              variant="outline"
              aria-pressed={tied}
              aria-label={`${tied ? 'From one length' : 'Keep on one length'}: ${part.name.toLowerCase()}`}
              onClick={() => toggleTie()}
            >
              {tied ? 'From one length' : 'Keep on one length'}
            </Button>
          )}
        </Flex>
      )}
    </Box>
  );
}

/** A sentence begins with a large letter. */
function said(words: string): string {
  return `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}`;
}

/** Pieces that add up in a row are cut to a tenth of a millimetre, or a 64th of an inch. */
export function fineRow({ row }: Pick<Part, 'row'>): { decimals?: number; fraction?: 64 } {
  return row ? { decimals: 1, fraction: 64 } : {};
}

/** The piece on its outer face, squeezed along: where its holes are, and what is cut away behind. */
function PieceStrip({ part }: { part: Extract<Part, { kind: 'length' }> }) {
  const { length, holes = [], recesses = [] } = part;
  const width = 1000;
  const height = 50;
  const wide = faceOf(part).up;
  const right = part.datum?.side === 'right';
  const x = (metres: number) => ((right ? length - metres : metres) / length) * width;
  const y = (metres: number) => height * (1 - metres / wide);
  const timber = part.stuff === 'timber';
  return (
    <svg
      viewBox={`-4 -12 ${width + 8} 74`}
      width="100%"
      aria-hidden="true"
      style={{ display: 'block', margin: '4px 0' }}
    >
      <rect
        width={width}
        height={height}
        rx={timber ? 0 : 6}
        fill={timber ? ink('timber') : 'color-mix(in srgb, var(--np-colors-copper) 60%, var(--np-colors-card))'}
        stroke={ink('ink')}
        strokeWidth={3}
      />
      {recesses.map(({ where, along, up }) => (
        <rect
          key={`${where}${along.from}`}
          x={Math.min(x(along.from), x(along.to))}
          width={Math.abs(x(along.to) - x(along.from))}
          y={y(up.to)}
          height={Math.max(3, y(up.from) - y(up.to))}
          fill="none"
          stroke={ink('ink')}
          strokeWidth={2.5}
          strokeDasharray="9 6"
        />
      ))}
      {holes.flatMap((row) =>
        rowDistances(row, { along: length, up: wide }).flatMap((distance) =>
          row.positions.map((position) => (
            <circle
              key={`${holesKey(row)} ${position} ${distance}`}
              cx={x(position)}
              cy={timber ? y(distance) : height / 2}
              r={timber ? Math.max(4, (row.diameter / wide) * height * 0.5) : 11}
              fill={ink('card')}
              stroke={ink('ink')}
              strokeWidth={row.diameter > 0.01 ? 3 : 2}
            />
          )),
        ),
      )}
      {holes.flatMap((row) =>
        row.positions.length > 2
          ? [
              <path
                key={holesKey(row)}
                d={`M${x(row.middle)} -10V60`}
                stroke={ink('paneText')}
                strokeWidth={4}
                strokeDasharray="10 7"
              />,
            ]
          : [],
      )}
    </svg>
  );
}

/** Beyond this many, ticks are counted by buttons and not drawn one by one. */
const mostTicks = 24;

function Ticks({ part }: { part: Part }) {
  const done = useJob((state) => state.shop.made[part.id] ?? 0);
  const set = (count: number) => record([{ kind: 'made', part: part.id, count: count - done }]);
  const boxes = Math.min(part.count, mostTicks);
  return (
    <Flex wrap="wrap" gap="1.5" role="group" aria-label={`Made: ${part.name}`}>
      {Array.from({ length: boxes }, (_, index) => {
        const ticked = index < done;
        return (
          <TickBox
            // biome-ignore lint/suspicious/noArrayIndexKey: the boxes are nothing but their places
            key={index}
            ticked={ticked}
            label={`${part.name} ${index + 1} of ${formatNumber(part.count)}`}
            onTick={() => set(ticked && index === done - 1 ? index : index + 1)}
          />
        );
      })}
      {part.count > mostTicks && <Text alignSelf="center">and {part.count - mostTicks} more</Text>}
    </Flex>
  );
}
