import { Box, Flex, Text } from '@chakra-ui/react';
import { findEntry } from '@north-pane/core/catalogue';
import { cutSheet, uncut } from '@north-pane/core/cutting';
import { formatLength, formatMoney, formatNumber, type Habit } from '@north-pane/core/quantity';
import {
  cutOrder,
  leftOut,
  type MaterialPlan,
  type SheetCut,
  type SheetMaterial,
  type SheetPlan,
  sheetOffcuts,
  wasteShare,
} from '@north-pane/core/shop';
import { useState } from 'react';
import { SvgLength } from '../../drawing/SvgLength';
import { SvgText } from '../../drawing/SvgText';
import { TextButton } from '../../parts/TextButton';
import { useSize } from '../../parts/useSize';
import { carryOut, inShopNow, record } from '../../state/job';
import { ink } from '../../theme/ink';
import { LockButton } from './LockButton';
import { MaterialHead } from './MaterialHead';

type Sheet = SheetPlan['sheets'][number];

/** Sheets of one material with the pieces laid out so that every cut goes edge to edge. Like sheets are drawn once. */
export function Sheets({
  material,
  habit,
  currency,
  lit,
  onLit,
}: {
  material: MaterialPlan & SheetMaterial;
  habit: Habit;
  currency: string;
  lit: string | undefined;
  onLit(part: string | undefined): void;
}) {
  const { plan, name } = material;
  const alike = new Map<string, { sheet: Sheet; index: number; count: number }>();
  plan.sheets.forEach((sheet, index) => {
    const key = JSON.stringify(sheet);
    const known = alike.get(key);
    if (known) known.count += 1;
    else alike.set(key, { sheet, index, count: 1 });
  });
  return (
    <Box as="section" aria-label={name} mb="5">
      <MaterialHead name={name} words={summary(material, currency)} />
      <Flex gap="4" wrap="wrap">
        {[...alike.values()].map(({ sheet, index, count }) => (
          <SheetFigure
            key={index}
            sheet={sheet}
            index={index}
            count={count}
            material={material}
            habit={habit}
            lit={lit}
            onLit={onLit}
          />
        ))}
      </Flex>
      {leftOut(material).map(({ id, count, why }) => (
        <Text key={id} role="alert" color="brickText" fontWeight="600">
          {count} × {material.parts.find((part) => part.id === id)?.name}:{' '}
          {why === 'too large' ? 'no sheet to be had is large enough.' : 'too little is to be had for it.'}
        </Text>
      ))}
    </Box>
  );
}

function summary(material: MaterialPlan & SheetMaterial, currency: string): string {
  const { plan, priced } = material;
  const money = formatMoney(plan.cost, currency, 0);
  const price = !priced
    ? 'no price'
    : plan.proof.status === 'proved'
      ? `${money}, cheapest possible`
      : `${money}; the bare area would cost ${formatMoney(plan.bound, currency, 0)}`;
  const sheets = plan.sheets.length === 1 ? '1 sheet' : `${plan.sheets.length} sheets`;
  const waste = plan.sheets.length > 0 ? `${formatNumber(100 * wasteShare(material))} % left over` : '';
  return [sheets, price, waste].filter(Boolean).join('; ');
}

const fills = {
  plate: 'color-mix(in srgb, var(--np-colors-copper) 30%, var(--np-colors-card))',
  insulation: ink('wool'),
  back: ink('timber'),
  edge: ink('line'),
} as const;

function SheetFigure({
  sheet,
  index,
  count,
  material,
  habit,
  lit,
  onLit,
}: {
  sheet: Sheet;
  /** In the plan. */
  index: number;
  count: number;
  material: MaterialPlan & SheetMaterial;
  habit: Habit;
  lit: string | undefined;
  onLit(part: string | undefined): void;
}) {
  const [ref, { width: room }] = useSize<HTMLDivElement>();
  // Long side across, as a sheet lies on the trestles.
  const lying = sheet.height > sheet.width;
  const [long, short] = lying ? [sheet.height, sheet.width] : [sheet.width, sheet.height];
  const scale = room / long;
  const cuts = cutOrder(sheet, material.kerf);
  const [largest] = sheetOffcuts(sheet, material.kerf);
  const [cut, setCut] = useState<SheetCut | undefined>(undefined);
  const turns = material.parts.every((part) => part.kind !== 'sheet' || part.turn);
  const fill = fills[findEntry('sheet', material.item)?.use ?? 'back'];
  const names = [...new Set(sheet.placed.map((piece) => piece.id))].map((id) => {
    const part = material.parts.find((one) => one.id === id);
    const pieces = sheet.placed.filter((piece) => piece.id === id).length;
    return `${part?.name ?? id}${pieces > 1 ? ` × ${pieces}` : ''}`;
  });
  return (
    <Box ref={ref} flex="1 1 320px" maxW="520px" minW="260px">
      <svg
        width={room}
        height={short * scale}
        style={{ display: 'block' }}
        role="img"
        aria-label={`Sheet ${formatLength(long, habit).text} by ${formatLength(short, habit).text}: ${names.join(', ')}`}
      >
        <rect width={room} height={short * scale} fill={ink('well')} stroke={ink('ink')} strokeWidth={3} />
        {sheet.placed.map((piece) => {
          const [x, y, w, h] = lying
            ? [piece.y, piece.x, piece.height, piece.width]
            : [piece.x, piece.y, piece.width, piece.height];
          const wide = w * scale > 110 && h * scale > 18;
          return (
            // biome-ignore lint/a11y/noStaticElementInteractions: the light follows the mouse only; the same is named in the cards
            <g key={`${piece.x}-${piece.y}`} onMouseEnter={() => onLit(piece.id)} onMouseLeave={() => onLit(undefined)}>
              <rect
                x={x * scale}
                y={y * scale}
                width={w * scale}
                height={h * scale}
                fill={fill}
                stroke={lit === piece.id ? ink('pane') : ink('ink')}
                strokeWidth={lit === piece.id ? 3 : 1}
              />
              {wide && (
                <SvgText
                  x={(x + w / 2) * scale}
                  y={(y + h / 2) * scale}
                  textAnchor="middle"
                  dominantBaseline="central"
                  size={14}
                  bold
                  heading
                  fill={ink('ink')}
                >
                  <SvgLength value={w} habit={habit} /> × <SvgLength value={h} habit={habit} />
                </SvgText>
              )}
            </g>
          );
        })}
        {largest && largest.width * scale > 60 && largest.height * scale > 60 && (
          <SvgText
            x={((lying ? largest.y : largest.x) + (lying ? largest.height : largest.width) / 2) * scale}
            y={((lying ? largest.x : largest.y) + (lying ? largest.width : largest.height) / 2) * scale}
            textAnchor="middle"
            dominantBaseline="central"
            size={13}
            fill={ink('soft')}
          >
            left <SvgLength value={lying ? largest.height : largest.width} habit={habit} /> ×{' '}
            <SvgLength value={lying ? largest.width : largest.height} habit={habit} />
          </SvgText>
        )}
        {cut && <CutLine cut={cut} lying={lying} scale={scale} />}
      </svg>
      <Flex justify="space-between" gap="2" align="start">
        <Text fontSize="13px" color="soft" mt="1">
          {names.join(', ')}
          {count > 1 ? `; ${count} sheets alike` : ''}
          {!turns && ', the way the grain or flute runs'}
        </Text>
        <LockSheet material={material} index={index} sheet={sheet} />
      </Flex>
      <CutOrder cuts={cuts} lying={lying} habit={habit} onCut={setCut} />
    </Box>
  );
}

/** Where a cut goes through its part of the sheet, as the sheet is drawn. */
function CutLine({ cut, lying, scale }: { cut: SheetCut; lying: boolean; scale: number }) {
  const { room, at, direction } = cut;
  const along = direction === 'along';
  const from = along ? { x: room.x + at, y: room.y } : { x: room.x, y: room.y + at };
  const to = along ? { x: from.x, y: room.y + room.height } : { x: room.x + room.width, y: from.y };
  const [x1, y1, x2, y2] = lying ? [from.y, from.x, to.y, to.x] : [from.x, from.y, to.x, to.y];
  return (
    <line
      x1={x1 * scale}
      y1={y1 * scale}
      x2={x2 * scale}
      y2={y2 * scale}
      stroke={ink('brick')}
      strokeWidth={4}
      strokeDasharray="9 5"
    />
  );
}

/** The cuts in order, each from the edge of the part that is left; pointed at, a cut shows on the sheet. */
function CutOrder(props: {
  cuts: readonly SheetCut[];
  lying: boolean;
  habit: Habit;
  onCut(cut: SheetCut | undefined): void;
}) {
  const { cuts, lying, habit, onCut } = props;
  const [open, setOpen] = useState(false);
  return (
    <Box fontSize="14px">
      <TextButton aria-expanded={open} onClick={() => setOpen(!open)}>
        {open ? 'Hide the order of cuts' : `Order of cuts, ${cuts.length}`}
      </TextButton>
      {open && (
        <ol style={{ paddingLeft: 24, listStyle: 'decimal' }}>
          {cuts.map((cut, place) => (
            <li
              // biome-ignore lint/suspicious/noArrayIndexKey: cuts are nothing but their places in the order
              key={place}
              onMouseEnter={() => onCut(cut)}
              onMouseLeave={() => onCut(undefined)}
            >
              {(cut.direction === 'along') === lying ? 'lengthwise' : 'crosswise'}, {formatLength(cut.at, habit).text}{' '}
              from the {(cut.direction === 'along') === lying ? 'upper' : 'left'} edge of the part{' '}
              {formatLength(Math.max(cut.room.width, cut.room.height), habit).text} ×{' '}
              {formatLength(Math.min(cut.room.width, cut.room.height), habit).text}
            </li>
          ))}
        </ol>
      )}
    </Box>
  );
}

function LockSheet({
  material,
  index,
  sheet,
}: {
  material: MaterialPlan & SheetMaterial;
  index: number;
  sheet: Sheet;
}) {
  const { fixed } = sheet;
  const toggle = () =>
    fixed ? record(uncut(inShopNow(), fixed.id)) : carryOut(cutSheet(inShopNow(), material, index));
  return (
    <LockButton
      locked={fixed !== undefined}
      kind="sheet"
      name={`${material.name}, sheet ${index + 1}`}
      onToggle={toggle}
    />
  );
}
