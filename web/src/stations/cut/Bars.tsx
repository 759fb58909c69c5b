import { Box, Flex, Text } from '@chakra-ui/react';
import {
  formatLength,
  formatMoney,
  formatNumber,
  type Habit,
  type LengthPlan,
  type MaterialPlan,
} from '@north-pane/core';
import { LengthText } from '../../parts/LengthText';
import { ink } from '../../theme/ink';

type LengthMaterial = Extract<MaterialPlan, { kind: 'length' }>;

/** Bars beyond this many alike are drawn once with their number. */
const mostDrawn = 8;

/** Stock lengths of one material with the pieces laid out in them. */
export function Bars({
  material,
  habit,
  currency,
  lit,
  onLit,
}: {
  material: LengthMaterial;
  habit: Habit;
  currency: string;
  lit: string | undefined;
  onLit(part: string | undefined): void;
}) {
  const { plan, stock, name, parts } = material;
  const longest = Math.max(...plan.bars.map((bar) => lengthOf(material, bar.stock)), 0.001);
  const tube = parts.some((part) => part.kind === 'length' && part.stuff !== 'timber');
  return (
    <Box as="section" aria-label={name} mb="5">
      <Flex justify="space-between" align="baseline" gap="3" wrap="wrap" mb="1">
        <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="17px">
          {name}
        </Text>
        <Text fontSize="13px" color="soft">
          {summary(material, habit, currency)}
        </Text>
      </Flex>
      {plan.bars.map((bar, index) => {
        const length = lengthOf(material, bar.stock);
        const drawn = bar.count > mostDrawn ? 1 : bar.count;
        return Array.from({ length: drawn }, (_, copy) => (
          <Flex
            // biome-ignore lint/suspicious/noArrayIndexKey: bars alike have no names; they stand in order
            key={`${index}-${copy}`}
            align="center"
            gap="2"
            mb="1"
          >
            <Flex
              h="30px"
              w={`${(100 * length) / longest}%`}
              borderWidth="1.5px"
              borderColor="ink"
              bg="well"
              position="relative"
            >
              {bar.pieces.map((piece, place) => (
                <Flex
                  // biome-ignore lint/suspicious/noArrayIndexKey: the same piece lies in a bar more than once
                  key={place}
                  w={`${(100 * piece.length) / length}%`}
                  align="center"
                  justify="center"
                  overflow="hidden"
                  borderRightWidth="1.5px"
                  borderColor="ink"
                  fontFamily="heading"
                  fontWeight="600"
                  fontSize="15px"
                  bg={tube ? 'color-mix(in srgb, var(--np-colors-copper) 36%, var(--np-colors-card))' : 'timber'}
                  outline={lit === piece.id ? `3px solid ${ink('pane')}` : undefined}
                  outlineOffset="-3px"
                  onMouseEnter={() => onLit(piece.id)}
                  onMouseLeave={() => onLit(undefined)}
                  title={nameOf(material, piece.id)}
                >
                  <LengthText value={piece.length} habit={habit} bare inchesOnly={piece.length / length < 0.16} />
                </Flex>
              ))}
              <Flex
                flex="1"
                align="center"
                justify="center"
                fontSize="13px"
                color="soft"
                overflow="hidden"
                whiteSpace="nowrap"
              >
                {bar.offcut / longest > 0.09 && (
                  <>
                    left&nbsp;
                    <LengthText value={bar.offcut} habit={habit} bare />
                  </>
                )}
              </Flex>
            </Flex>
            {bar.count > mostDrawn && <Text whiteSpace="nowrap">× {bar.count}</Text>}
          </Flex>
        ));
      })}
      {plan.unplaced.map((piece) => (
        <Text key={piece.id} role="alert" color="brickText" fontWeight="600">
          {nameOf(material, piece.id)}, {formatLength(piece.length, habit).text}: no length to be had is long enough.
          Longest: {formatLength(Math.max(...stock.map((one) => one.length)), habit).text}.
        </Text>
      ))}
    </Box>
  );
}

function lengthOf(material: LengthMaterial, stock: string): number {
  return material.stock.find((one) => one.id === stock)?.length ?? 0;
}

function nameOf(material: LengthMaterial, part: string): string {
  return material.parts.find((one) => one.id === part)?.name ?? part;
}

function summary(material: LengthMaterial, habit: Habit, currency: string): string {
  const { plan } = material;
  const counts = new Map<number, number>();
  for (const bar of plan.bars) {
    const length = lengthOf(material, bar.stock);
    counts.set(length, (counts.get(length) ?? 0) + bar.count);
  }
  const taken = [...counts].map(([length, count]) => `${count} of ${formatLength(length, habit).text}`).join(', ');
  const whole = plan.bars.reduce((sum, bar) => sum + bar.count * lengthOf(material, bar.stock), 0);
  const waste = whole > 0 ? `${formatNumber((100 * plan.waste) / whole)} % left over` : '';
  return [taken, material.priced ? money(plan, currency) : 'no price', waste].filter(Boolean).join('; ');
}

/** The cost, and how much of it the bare material would cost: no plan can go below that. */
function money(plan: LengthPlan, currency: string): string {
  const cost = formatMoney(plan.cost, currency, 0);
  if (plan.proof.status === 'proved') return `${cost}, none cheaper`;
  return `${cost} by the quick planner, bare material ${formatMoney(plan.proof.bound, currency, 0)}`;
}
