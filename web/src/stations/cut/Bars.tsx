import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type Active,
  type Announcements,
  DndContext,
  DragOverlay,
  KeyboardSensor,
  MouseSensor,
  type Over,
  TouchSensor,
  useDroppable,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { cutBar, movePiece, releaseMaterial, uncut } from '@north-pane/core/cutting';
import { formatLength, formatMoney, formatNumber, type Habit, sayWords } from '@north-pane/core/quantity';
import {
  type Bar,
  gapOf,
  keptOffcuts,
  type LengthMaterial,
  type LengthPlan,
  leftOut,
  type MaterialPlan,
  ripLines,
  wasteShare,
} from '@north-pane/core/shop';
import { useState } from 'react';
import { LengthText } from '../../parts/LengthText';
import { TextButton } from '../../parts/TextButton';
import { usePhone } from '../../parts/usePhone';
import { useSize } from '../../parts/useSize';
import { carryOut, inShopNow, jobNow, record, useJob } from '../../state/job';
import { BarPiece } from './BarPiece';
import { barKeys } from './barKeys';
import { LockButton } from './LockButton';
import { MaterialHead } from './MaterialHead';

type Material = MaterialPlan & LengthMaterial;

/** Bars beyond this many alike are drawn once with their number. */
const mostDrawn = 8;

export interface Lit {
  lit: string | undefined;
  onLit(part: string | undefined): void;
}

interface BarsProps extends Lit {
  material: Material;
  habit: Habit;
  currency: string;
  /** m. The smallest offcut worth keeping. */
  keep: number;
  proving: boolean;
}

/**
 * Stock lengths of one material with the pieces laid out in them. A piece is drawn over to another bar by mouse or keys; a bar that is
 * cut is locked and stands through every change.
 */
export function Bars({ material: latest, habit, currency, keep, proving, lit, onLit }: BarsProps) {
  const changeAll = useJob((state) => state.changeAll);
  // While a piece is carried its plan stands still: a proof that lands meanwhile would move the bars under it.
  const [dragged, setDragged] = useState<{ bar: number; place: number; of: Material } | undefined>(undefined);
  const material = dragged?.of ?? latest;
  const { plan, name, item } = material;
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const [ref, { width }] = useSize<HTMLDivElement>();
  const sensors = useSensors(
    useSensor(MouseSensor, { activationConstraint: { distance: 6 } }),
    // A finger that rests lifts the piece; one that moves at once scrolls the page.
    useSensor(TouchSensor, { activationConstraint: { delay: 220, tolerance: 8 } }),
    useSensor(KeyboardSensor, { coordinateGetter: barKeys }),
  );
  // The lock, and the number of bars alike.
  const lock = usePhone() ? 56 : 40;
  const beside = plan.bars.some(({ count }) => count > mostDrawn) ? lock + 56 : lock;
  const longest = Math.max(...plan.bars.map((bar) => lengthOf(material, bar.stock)), 0.001);
  const drop = (to: number | undefined) => {
    if (!dragged || to === dragged.bar) return;
    const moved = movePiece(jobNow(), material, dragged, to);
    setTrouble(moved.ok ? undefined : why[moved.why]);
    if (moved.ok) changeAll(moved.changes);
  };
  const held = dragged && plan.bars[dragged.bar]?.pieces[dragged.place];
  return (
    <Box as="section" aria-label={name} mb="5" ref={ref}>
      <MaterialHead name={name} words={summary(material, currency, keep, habit, proving)} />
      <DndContext
        sensors={sensors}
        accessibility={{ screenReaderInstructions: { draggable: keysWords }, announcements: announce(material) }}
        onDragStart={({ active }) =>
          setDragged({ ...(active.data.current as { bar: number; place: number }), of: latest })
        }
        onDragCancel={() => setDragged(undefined)}
        onDragEnd={({ over }) => {
          if (over) drop(over.data.current?.bar as number | undefined);
          setDragged(undefined);
        }}
      >
        {plan.bars.map((bar, index) =>
          Array.from({ length: bar.count > mostDrawn ? 1 : bar.count }, (_, copy) => (
            <BarRow
              // biome-ignore lint/suspicious/noArrayIndexKey: bars alike have no names; they stand in order
              key={`${index}-${copy}`}
              material={material}
              bar={bar}
              index={index}
              copy={copy}
              habit={habit}
              lit={lit}
              onLit={onLit}
              px={(width - beside) / longest}
              beside={beside}
              longest={longest}
            />
          )),
        )}
        {held && <OwnBar item={item} />}
        <DragOverlay dropAnimation={null}>
          {held && (
            <Flex
              h="30px"
              align="center"
              justify="center"
              bg="paneFill"
              color="white"
              fontFamily="heading"
              fontWeight="600"
            >
              <LengthText value={held.length} habit={habit} bare />
            </Flex>
          )}
        </DragOverlay>
      </DndContext>
      {ripLines(material).map((line) => (
        <Text key={line} fontSize="14px">
          {sayWords(line, habit)}
        </Text>
      ))}
      {trouble && (
        <Text role="alert" color="brickText" fontSize="14px">
          {trouble}
        </Text>
      )}
      {material.unruled && (
        <Flex align="baseline" gap="3" wrap="wrap" fontSize="14px">
          <Text>{ruledWords(plan.cost, material.unruled.cost, currency)}</Text>
          <TextButton onClick={() => changeAll(releaseMaterial(jobNow(), item))}>
            Give it back to the planner
          </TextButton>
        </Flex>
      )}
      {leftOut(material).map(({ id, count, why: reason }) => (
        <Text key={id} role="alert" color="brickText" fontWeight="600">
          {count} × {nameOf(material, id)}:{' '}
          {reason === 'too large' ? 'no length to be had is long enough.' : 'too little is to be had for it.'}
        </Text>
      ))}
    </Box>
  );
}

const keysWords =
  'Space lifts the piece, up and down carry it from bar to bar, Space lays it down, Escape puts it back.';

/** What is said aloud while a piece is carried. */
function announce(material: Material): Announcements {
  const held = ({ data }: Active) => {
    const { bar = -1, place = -1 } = (data.current ?? {}) as { bar?: number; place?: number };
    return nameOf(material, material.plan.bars[bar]?.pieces[place]?.id ?? '');
  };
  const under = (over: Over | null) => {
    if (!over) return 'no bar';
    const bar = over.data.current?.bar as number | undefined;
    return bar === undefined ? 'a bar of its own' : `bar ${bar + 1}`;
  };
  return {
    onDragStart: ({ active }) => `${held(active)} lifted.`,
    onDragOver: ({ active, over }) => `${held(active)} over ${under(over)}.`,
    onDragEnd: ({ active, over }) => `${held(active)} laid on ${under(over)}.`,
    onDragCancel: ({ active }) => `${held(active)} put back.`,
  };
}

const why = {
  locked: 'That bar is cut: nothing goes on it or comes off it. Unlock it first.',
  'no room': 'No length that is to be had holds all those pieces.',
} as const;

function ruledWords(cost: number, least: number, currency: string): string {
  const more = cost - least;
  if (Math.abs(more) < 0.005) return 'Laid out by hand, at the planner’s own price.';
  return `Laid out by hand: ${formatMoney(more, currency, 2)} more than the planner’s ${formatMoney(least, currency, 2)}.`;
}

interface RowProps extends Lit {
  material: Material;
  bar: Bar;
  index: number;
  copy: number;
  habit: Habit;
  /** px to a metre, on the screen. */
  px: number;
  /** px beside the bars. */
  beside: number;
  /** m. Of the longest of them. */
  longest: number;
}

function BarRow(props: RowProps) {
  const { material, bar, index, copy, habit, lit, onLit, px, beside, longest } = props;
  const length = lengthOf(material, bar.stock);
  const locked = bar.fixed?.by === 'lock';
  const { setNodeRef, isOver } = useDroppable({
    id: `${material.item}|${index}|${copy}`,
    data: { bar: index },
    disabled: locked,
  });
  const { kerf } = material;
  return (
    <Flex align="center" gap="2" mb="1">
      <Flex
        ref={setNodeRef}
        h={{ base: '48px', md: '30px' }}
        w={`calc((100% - ${beside}px) * ${length / longest})`}
        minW="0"
        borderWidth="1.5px"
        borderColor={isOver ? 'pane' : 'ink'}
        borderLeftWidth={bar.fixed ? '6px' : '1.5px'}
        borderLeftColor={locked ? 'ink' : bar.fixed ? 'pane' : 'ink'}
        bg={isOver ? 'card' : 'well'}
        title={bar.fixed ? (locked ? 'cut' : 'laid out by hand') : undefined}
        data-testid={`bar-${material.item}`}
      >
        {handledPieces(bar, (piece, last) => (piece.length + (last && bar.offcut <= 0 ? 0 : kerf)) * px).map(
          ({ piece, place, count, width }) => (
            <BarPiece
              key={place}
              id={`${material.item}|${index}|${copy}|${place}`}
              data={{ bar: index, place }}
              part={piece.id}
              name={nameOf(material, piece.id)}
              length={piece.length}
              count={count}
              width={width}
              share={width / (length * px)}
              habit={habit}
              locked={locked}
              timber={timberOf(material)}
              lit={lit === piece.id}
              onLit={onLit}
            />
          ),
        )}
        <Flex
          flex="1"
          align="center"
          justify="center"
          fontSize="13px"
          color="soft"
          overflow="hidden"
          whiteSpace="nowrap"
        >
          {bar.offcut * px > 74 && (
            <>
              left&nbsp;
              <LengthText value={bar.offcut} habit={habit} bare />
            </>
          )}
        </Flex>
      </Flex>
      <LockBar material={material} bar={bar} index={index} />
      {bar.count > mostDrawn && <Text whiteSpace="nowrap">× {bar.count}</Text>}
    </Flex>
  );
}

/** px. Pieces narrower than a fingertip that lie side by side and are alike are taken hold of together; one at a time is carried. */
const fingertip = 40;

interface Handled {
  piece: Bar['pieces'][number];
  /** Of the last of them in the bar: the one that is carried. */
  place: number;
  count: number;
  /** px of all of them. */
  width: number;
}

function handledPieces(bar: Bar, widthOf: (piece: Bar['pieces'][number], last: boolean) => number): Handled[] {
  const list: Handled[] = [];
  bar.pieces.forEach((piece, place) => {
    const width = widthOf(piece, place === bar.pieces.length - 1);
    const before = list[list.length - 1];
    if (before && width < fingertip && before.piece.id === piece.id && before.piece.length === piece.length) {
      before.place = place;
      before.count += 1;
      before.width += width;
    } else list.push({ piece, place, count: 1, width });
  });
  return list;
}

function LockBar({ material, bar, index }: { material: Material; bar: Bar; index: number }) {
  const { fixed } = bar;
  const locked = fixed?.by === 'lock';
  const toggle = () => (locked ? record(uncut(inShopNow(), fixed.id)) : carryOut(cutBar(inShopNow(), material, index)));
  return <LockButton locked={locked} kind="bar" name={`${material.name}, bar ${index + 1}`} onToggle={toggle} />;
}

function OwnBar({ item }: { item: string }) {
  const { setNodeRef, isOver } = useDroppable({ id: `${item}|own`, data: { bar: undefined } });
  return (
    <Flex
      ref={setNodeRef}
      h="30px"
      w="300px"
      align="center"
      justify="center"
      borderWidth="1.5px"
      borderStyle="dashed"
      borderColor={isOver ? 'pane' : 'soft'}
      bg={isOver ? 'card' : 'transparent'}
      color="soft"
      fontSize="14px"
    >
      a bar of its own
    </Flex>
  );
}

function timberOf({ parts }: Material): boolean {
  return parts.some((part) => part.kind === 'length' && part.stuff === 'timber');
}

function lengthOf(material: Material, stock: string): number {
  return material.stock.find((one) => one.id === stock)?.length ?? 0;
}

export function nameOf({ parts }: Pick<MaterialPlan, 'parts'>, part: string): string {
  return parts.find((one) => one.id === part)?.name ?? part;
}

function summary(material: Material, currency: string, keep: number, habit: Habit, proving: boolean): string {
  const { plan } = material;
  const kept = keptOffcuts(plan.bars, keep);
  const counts = new Map<number, number>();
  for (const bar of plan.bars) {
    const length = lengthOf(material, bar.stock);
    counts.set(length, (counts.get(length) ?? 0) + bar.count);
  }
  const taken = [...counts].map(([length, count]) => `${count} of ${formatLength(length, habit).text}`).join(', ');
  const waste =
    plan.bars.length > 0
      ? `${formatNumber(100 * wasteShare(material))} % left over${kept > 0 ? `, ${formatLength(kept, habit).text} of it to keep` : ''}`
      : '';
  return [taken, material.priced ? proofWords(plan, currency, proving) : 'no price', waste].filter(Boolean).join('; ');
}

/** The cost, and how sure it is that nothing is cheaper. */
function proofWords(plan: LengthPlan, currency: string, proving: boolean): string {
  const money = formatMoney(plan.cost, currency, 0);
  if (plan.proof.status === 'proved') return `${money}, cheapest possible`;
  if (proving) return `${money} by the quick planner, being proved`;
  const gap = gapOf(plan);
  if (gap === undefined) return `${money}, the least not known`;
  return `${money}, at most ${formatNumber(100 * gap, gap < 0.01 ? 1 : 0)} % above the least`;
}
