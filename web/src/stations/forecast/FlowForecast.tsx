import { Box, Button, Flex, SimpleGrid, Stack, Text } from '@chakra-ui/react';
import { resultKey } from '@north-pane/core/document';
import {
  type BothBands,
  curveSlope,
  evaluateOpen,
  flowArgument,
  flowReach,
  inletAt,
  reducedTemperature,
  riseReach,
  specificFlowFor,
  workOf,
} from '@north-pane/core/figures';
import { designConditions, openJob } from '@north-pane/core/job';
import { formatNumber, formatQuantity, type QuantityKind } from '@north-pane/core/quantity';
import { massFlowOf, volumeFlow } from '@north-pane/core/thermal';
import { useRef, useState } from 'react';
import * as z from 'zod';
import { Band } from '../../charts/Band';
import { Chart } from '../../charts/Chart';
import { DesignPoint, type PointPull } from '../../charts/DesignPoint';
import { chartUnit } from '../../charts/units';
import { Entry } from '../../parts/Entry';
import { FieldAt } from '../../parts/FieldAt';
import { Matters } from '../../parts/Matters';
import { Section } from '../../parts/Section';
import { useHabit } from '../../state/habit';
import { useDocument, useJob } from '../../state/job';
import { useRemembered } from '../../state/remembered';
import { useWork } from '../../workers/useWork';
import { SlowOrFast } from './SlowOrFast';

const weatherSchema = z.strictObject({ irradiance: z.number(), air: z.number(), inlet: z.number(), wind: z.number() });
type Weather = z.infer<typeof weatherSchema>;

const usual: Weather = {
  irradiance: designConditions.irradiance,
  air: designConditions.air,
  inlet: designConditions.inlet,
  wind: designConditions.wind,
};

const limits: Record<keyof Weather, { label: string; kind: QuantityKind; low: number; high: number }> = {
  irradiance: { label: 'Sun on the pane', kind: 'irradiance', low: 50, high: 1300 },
  air: { label: 'Air', kind: 'temperature', low: -30, high: 50 },
  inlet: { label: 'Water in', kind: 'temperature', low: 1, high: 90 },
  wind: { label: 'Wind at the panel', kind: 'speed', low: 0, high: 15 },
};

/** Heaters that water flows through: gain and heat against flow at a chosen sun and air, and the panel's efficiency line. */
export function FlowForecast() {
  const document = useDocument();
  const habit = useHabit();
  const change = useJob((state) => state.change);
  const [weather, setWeather] = useRemembered('weather', weatherSchema, usual);
  // While the point is pulled the flow follows the hand, and the curves stand still; the job has it at the end.
  const [pulled, setPulled] = useState<number | undefined>(undefined);
  const open = openJob(document);
  const own = evaluateOpen(open, weather);
  const now = pulled === undefined ? own : evaluateOpen(open, { ...weather, massFlow: pulled });
  const span = useSpan(own.massFlow);
  const work = workOf(now);
  const { fluid } = now.conditions;
  const changed = (Object.keys(usual) as (keyof Weather)[]).some((name) => weather[name] !== usual[name]);
  const argument = flowArgument(open, weather);
  const physical = `${resultKey(document, ['heat'])} ${JSON.stringify(weather)}`;
  const overFlow = useWork('flow', `${span} ${physical}`, (heavy) => heavy.overFlow(document, weather, span));
  const overInlet = useWork('inlet', physical, (heavy) => heavy.overInlet(document, weather));

  const text = (kind: QuantityKind, value: number) => formatQuantity(kind, value, habit).text;
  const latest = useRef<number | undefined>(undefined);
  const flowUnit = chartUnit('flow', habit);
  const flow = (massFlow: number) => flowUnit.write(volumeFlow(massFlow, weather.inlet, fluid));
  const gainUnit = chartUnit('temperatureDifference', habit);
  const heatUnit = chartUnit('power', habit);
  const here = flow(now.massFlow);
  const reach: [number, number] = [0, flow(span)];
  const setFlow = (volume: number): string | undefined => {
    const outcome = change(
      'loop.specificFlow',
      specificFlowFor(massFlowOf(volume, weather.inlet, fluid), {
        massFlow: own.massFlow,
        specificFlow: argument.specificFlow,
      }),
    );
    return outcome.ok ? undefined : outcome.message;
  };
  const volumeOf = (massFlow: number) => volumeFlow(massFlow, weather.inlet, fluid);
  const pullFlow: PointPull = {
    label: 'Flow at the design point',
    words: text('flow', volumeOf(now.massFlow)),
    low: reach[1] / 60,
    high: reach[1],
    step: habit === 'metric' ? 0.1 : 0.02,
    onMove: (x) => {
      latest.current = massFlowOf(flowUnit.read(x), weather.inlet, fluid);
      setPulled(latest.current);
    },
    onEnd: () => {
      setPulled(undefined);
      if (latest.current !== undefined) setFlow(volumeOf(latest.current));
      latest.current = undefined;
    },
  };
  const pullInlet: PointPull = {
    label: 'Water in at the design point',
    words: text('temperature', weather.inlet),
    low: reducedTemperature({ ...weather, inlet: limits.inlet.low }),
    high: reducedTemperature({ ...weather, inlet: Math.min(limits.inlet.high, weather.air + riseReach) }),
    step: reducedTemperature({ ...weather, inlet: weather.air + 1 }),
    onMove: (x) => setWeather({ ...weather, inlet: Math.round(inletAt(x, weather)) }),
  };
  const points = (workmanship: keyof BothBands, of: 'gain' | 'usefulHeat', write: (value: number) => number) =>
    (overFlow.value ?? []).flatMap(({ massFlow, bands }) => {
      const band = bands[workmanship][of];
      if (!band) return [];
      return [{ x: flow(massFlow), low: write(band.low), likely: write(band.likely), high: write(band.high) }];
    });
  const both = (of: 'gain' | 'usefulHeat', write: (value: number) => number) => ({
    well: points('well made', of, write),
    home: points('home-made', of, write),
  });
  const gains = both('gain', gainUnit.write);
  const heats = both('usefulHeat', heatUnit.write);
  const most = ({ well }: { well: { high: number }[] }, least: number) =>
    Math.max(least, ...well.map((row) => row.high));
  const inlets = overInlet.value ?? [];
  const curve = (workmanship: keyof BothBands) =>
    inlets.flatMap(({ rise, bands }) => {
      const { efficiency } = bands[workmanship];
      return efficiency ? [{ x: reducedTemperature({ ...weather, inlet: weather.air + rise }), ...efficiency }] : [];
    });
  const line = { well: curve('well made'), home: curve('home-made') };
  const slope = curveSlope(
    inlets.flatMap(({ rise, bands }) => {
      const { efficiency } = bands['well made'];
      return efficiency ? [{ rise, efficiency: efficiency.likely }] : [];
    }),
    weather.irradiance,
    5,
  );
  return (
    <Flex direction={{ base: 'column', lg: 'row' }} minH="100%" p="5" gap="6">
      <Box w={{ base: '100%', lg: '250px' }} flexShrink={0}>
        <Section title="At this sun and air">
          <SimpleGrid columns={{ base: 2, lg: 1 }} gap="3">
            {(Object.keys(limits) as (keyof Weather)[]).map((name) => {
              const { label, kind, low, high } = limits[name];
              return (
                <Entry
                  key={name}
                  label={label}
                  value={weather[name]}
                  kind={kind}
                  habit={habit}
                  onValue={(value) => {
                    if (value < low || value > high) return `Between ${text(kind, low)} and ${text(kind, high)}.`;
                    setWeather({ ...weather, [name]: value });
                    return undefined;
                  }}
                />
              );
            })}
            <Entry
              label="Flow, all panels"
              value={volumeFlow(now.massFlow, weather.inlet, fluid)}
              kind="flow"
              habit={habit}
              digits={habit === 'metric' ? 2 : 3}
              onValue={setFlow}
            />
            <FieldAt
              path="loop.glycol"
              label="Glycol in the loop, by mass"
              without={0}
              onValue={(share) => {
                const outcome = change('loop.glycol', share === 0 ? undefined : share);
                return outcome.ok ? undefined : outcome.message;
              }}
            />
          </SimpleGrid>
          {changed && (
            <Button size="xs" variant="outline" mt="2" onClick={() => setWeather(usual)}>
              Back to the usual sun and air
            </Button>
          )}
        </Section>
        <Section title="The design point">
          {work ? (
            <>
              <Text fontFamily="heading" fontWeight="600" fontSize="34px" lineHeight="1.1" data-testid="forecast-gain">
                {text('temperatureDifference', work.gain)}
              </Text>
              <Text color="soft" mb="2">
                warmer: in at {text('temperature', weather.inlet)}, out at {text('temperature', work.outletTemperature)}
              </Text>
              <Text fontFamily="heading" fontWeight="600" fontSize="34px" lineHeight="1.1">
                {text('power', work.usefulHeat)}
              </Text>
              <Text color="soft">of heat, {formatNumber(100 * work.efficiency)} % of the sun on the pane</Text>
            </>
          ) : (
            <Matters findings={now.absent} habit={habit} />
          )}
        </Section>
      </Box>
      <Stack flex="1" minW="0" gap="2">
        <SlowOrFast argument={argument} inlet={weather.inlet} fluid={fluid} habit={habit} />
        <SimpleGrid columns={{ base: 1, xl: 2 }} gap="4">
          <ChartBox title="Temperature rise against flow" fresh={overFlow.fresh}>
            <Chart
              label={`Temperature rise against flow; ${work ? text('temperatureDifference', work.gain) : 'no figure'} at ${text('flow', volumeFlow(now.massFlow, weather.inlet, fluid))}`}
              xDomain={reach}
              yDomain={[0, most(gains, 1)]}
              handled
              xTitle={`flow, ${flowUnit.symbol}`}
              yTitle={`temperature rise, ${gainUnit.symbol}`}
            >
              {(scales) => (
                <>
                  <Band points={gains.home} scales={scales} aside />
                  <Band points={gains.well} scales={scales} />
                  {work && <DesignPoint scales={scales} x={here} y={gainUnit.write(work.gain)} pull={pullFlow} />}
                </>
              )}
            </Chart>
          </ChartBox>
          <ChartBox title="Heat against flow" fresh={overFlow.fresh}>
            <Chart
              label={`Heat against flow; ${work ? text('power', work.usefulHeat) : 'no figure'} at the design flow`}
              xDomain={reach}
              yDomain={[0, most(heats, 100)]}
              handled
              xTitle={`flow, ${flowUnit.symbol}`}
              yTitle={`heat, ${heatUnit.symbol}`}
              yTick={(value) => formatNumber(value)}
            >
              {(scales) => (
                <>
                  <Band points={heats.home} scales={scales} aside />
                  <Band points={heats.well} scales={scales} />
                  {work && <DesignPoint scales={scales} x={here} y={heatUnit.write(work.usefulHeat)} pull={pullFlow} />}
                </>
              )}
            </Chart>
          </ChartBox>
        </SimpleGrid>
        <ChartBox
          title="The panel’s efficiency line"
          fresh={overInlet.fresh}
          aside={
            line.well.length > 0
              ? `${formatNumber(line.well[0]?.likely ?? 0, 2)} at air temperature, falling by ${formatNumber(slope, 1)} W/m²K`
              : ''
          }
          tall
        >
          <Chart
            label="Efficiency against water in less air over sun, with its band"
            xDomain={[0, reducedTemperature({ ...weather, inlet: weather.air + riseReach })]}
            yDomain={[0, 0.8]}
            xTitle="(water in less air) / sun, K m²/W"
            yTitle="efficiency on the pane"
            handled
            xTick={(value) => formatNumber(value, 2)}
            yTick={(value) => formatNumber(value, 1)}
          >
            {(scales) => (
              <>
                <Band points={line.home} scales={scales} aside />
                <Band points={line.well} scales={scales} />
                {work && (
                  <DesignPoint scales={scales} x={reducedTemperature(weather)} y={work.efficiency} pull={pullInlet} />
                )}
              </>
            )}
          </Chart>
        </ChartBox>
        <Text fontSize="13px" color="soft">
          Copper: nine in ten panels drawn like this and well made. Grey, dashed: typical home-made ones, with a poorer
          bond, older panes, gaps in the insulation. Plan with the grey, judge by the copper. Verified against worked
          cases; no band is proved until you measure.
        </Text>
      </Stack>
    </Flex>
  );
}

/**
 * kg/s that the axes of flow reach to: three times the design flow, and left as it is while the point stays well within it, so that a point that
 * was pulled stays where it was put.
 */
function useSpan(massFlow: number): number {
  const [span, setSpan] = useState(flowReach * massFlow);
  const share = massFlow / span;
  const fits = share > 0.1 && share < 0.85;
  const wanted = fits ? span : flowReach * massFlow;
  if (wanted !== span) setSpan(wanted);
  return wanted;
}

function ChartBox({
  title,
  aside,
  fresh,
  tall,
  children,
}: {
  title: string;
  aside?: string;
  fresh: boolean;
  tall?: boolean;
  children: React.ReactNode;
}) {
  return (
    <Box as="section" aria-label={title}>
      <Flex justify="space-between" align="baseline" gap="3">
        <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="17px">
          {title}
        </Text>
        <Text fontSize="13px" color="soft">
          {fresh ? aside : 'working out the band…'}
        </Text>
      </Flex>
      <Box h={tall ? 'max(240px, calc(50dvh - 152px))' : 'max(205px, calc(50dvh - 195px))'}>{children}</Box>
    </Box>
  );
}
