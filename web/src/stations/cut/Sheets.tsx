import { Box, Flex, Text } from '@chakra-ui/react';
import {
  findEntry,
  formatLength,
  formatMoney,
  formatNumber,
  type Habit,
  type MaterialPlan,
  type SheetPlan,
} from '@north-pane/core';
import { SvgLength } from '../../drawing/SvgLength';
import { SvgText } from '../../drawing/SvgText';
import { useSize } from '../../parts/useSize';
import { ink } from '../../theme/ink';

type SheetMaterial = Extract<MaterialPlan, { kind: 'sheet' }>;
type Sheet = SheetPlan['sheets'][number];

/** Sheets of one material with the pieces laid out so that every cut goes edge to edge. Like sheets are drawn once. */
export function Sheets({
  material,
  habit,
  currency,
  lit,
  onLit,
}: {
  material: SheetMaterial;
  habit: Habit;
  currency: string;
  lit: string | undefined;
  onLit(part: string | undefined): void;
}) {
  const { plan, name } = material;
  const alike = new Map<string, { sheet: Sheet; count: number }>();
  for (const sheet of plan.sheets) {
    const key = JSON.stringify(sheet);
    const known = alike.get(key);
    if (known) known.count += 1;
    else alike.set(key, { sheet, count: 1 });
  }
  const area = plan.sheets.reduce((sum, sheet) => sum + sheet.width * sheet.height, 0);
  const price = material.priced
    ? `${formatMoney(plan.cost, currency, 0)}, bare area ${formatMoney(plan.bound, currency, 0)}`
    : 'no price';
  return (
    <Box as="section" aria-label={name} mb="5">
      <Flex justify="space-between" align="baseline" gap="3" wrap="wrap" mb="1">
        <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="17px">
          {name}
        </Text>
        <Text fontSize="13px" color="soft">
          {plan.sheets.length === 1 ? '1 sheet' : `${plan.sheets.length} sheets`}; {price}
          {area > 0 ? `; ${formatNumber((100 * plan.waste) / area)} % left over` : ''}
        </Text>
      </Flex>
      <Flex gap="4" wrap="wrap">
        {[...alike.values()].map(({ sheet, count }, index) => (
          <SheetFigure
            // biome-ignore lint/suspicious/noArrayIndexKey: sheets have no names; they stand in order
            key={index}
            sheet={sheet}
            count={count}
            material={material}
            habit={habit}
            lit={lit}
            onLit={onLit}
          />
        ))}
      </Flex>
      {plan.unplaced.map((piece) => (
        <Text key={piece.id} role="alert" color="brickText" fontWeight="600">
          {material.parts.find((part) => part.id === piece.id)?.name}, {formatLength(piece.height, habit).text} by{' '}
          {formatLength(piece.width, habit).text}: no sheet to be had is large enough.
        </Text>
      ))}
    </Box>
  );
}

const fills = {
  plate: 'color-mix(in srgb, var(--np-colors-copper) 30%, var(--np-colors-card))',
  insulation: ink('wool'),
  back: ink('timber'),
  edge: ink('line'),
} as const;

function SheetFigure({
  sheet,
  count,
  material,
  habit,
  lit,
  onLit,
}: {
  sheet: Sheet;
  count: number;
  material: SheetMaterial;
  habit: Habit;
  lit: string | undefined;
  onLit(part: string | undefined): void;
}) {
  const [ref, { width: room }] = useSize<HTMLDivElement>();
  // Long side across, as a sheet lies on the trestles.
  const lying = sheet.height > sheet.width;
  const [long, short] = lying ? [sheet.height, sheet.width] : [sheet.width, sheet.height];
  const scale = room / long;
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
      </svg>
      <Text fontSize="13px" color="soft" mt="1">
        {names.join(', ')}
        {count > 1 ? `; ${count} sheets alike` : ''}
      </Text>
    </Box>
  );
}
