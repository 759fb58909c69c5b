import { Box, Button, chakra, Flex, SimpleGrid, Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { formatNumber, formatQuantity, type Habit, parsePitch } from '@north-pane/core/quantity';
import type { Derivation } from '@north-pane/core/readout';
import { jobMonths, type SkySource, siteDerivations } from '@north-pane/core/site';
import { exposures, grounds, hiddenHours, monthNames, parseHorizon, writeHorizon } from '@north-pane/core/sky';
import { type ReactNode, useState } from 'react';
import { Choice } from '../../parts/Choice';
import { Entry } from '../../parts/Entry';
import { FieldAt } from '../../parts/FieldAt';
import { showsJob } from '../../parts/keys';
import { Readout } from '../../parts/Readout';
import { Section } from '../../parts/Section';
import { useJob } from '../../state/job';
import { MonthBars } from './MonthBars';
import { MonthsDialog } from './MonthsDialog';
import { WeatherDialog } from './WeatherDialog';

/** What was said of a change, for an entry: nothing when it was taken. */
function useSet() {
  const change = useJob((state) => state.change);
  return (path: string, value: unknown): string | undefined => {
    const outcome = change(path, value);
    return outcome.ok ? undefined : outcome.message;
  };
}

/** The weather of the site, by months, with the ways to better it. */
export function WeatherSection({ job, habit, source }: { job: Job; habit: Habit; source: SkySource }) {
  const [dialog, setDialog] = useState<'file' | 'months' | undefined>(undefined);
  const set = useSet();
  const months = jobMonths(job.site);
  return (
    <Section title="Weather" aside={`a year’s sun to ${formatNumber(source.error * 100)} % or so`}>
      <Text fontSize="14px" color={source.kind === 'file' ? 'ink' : 'ochreText'}>
        {source.words}
      </Text>
      <MonthBars months={months} habit={habit} />
      <Flex gap="2" wrap="wrap">
        <Button size="sm" variant="outline" onClick={() => setDialog('file')}>
          Import weather file
        </Button>
        <Button size="sm" variant="outline" onClick={() => setDialog('months')}>
          Twelve means of your own
        </Button>
      </Flex>
      {dialog === 'file' && <WeatherDialog job={job} habit={habit} onClose={() => setDialog(undefined)} />}
      {dialog === 'months' && (
        <MonthsDialog
          months={months}
          habit={habit}
          onMonths={(chosen) => set('site.climate', { kind: 'months', months: chosen })}
          onClose={() => setDialog(undefined)}
        />
      )}
    </Section>
  );
}

/** The skyline as pairs to type or paste, and what it costs in hours. */
export function SkylineSection({ job, now }: { job: Job; now: Date }) {
  const set = useSet();
  const { horizon } = job.site;
  const written = writeHorizon(horizon);
  const [typed, setTyped] = useState<string | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const { latitude, longitude } = job.site;
  const year = now.getUTCFullYear();
  const hidden = hiddenHours(horizon, { latitude, longitude }, year);
  const worst = hidden.indexOf(Math.max(...hidden));
  const least = hidden.indexOf(Math.min(...hidden));
  const clock = (hours: number) =>
    `${Math.floor(hours)} h ${String(Math.round((hours % 1) * 60)).padStart(2, '0')} min`;
  const take = () => {
    if (typed === undefined) return;
    const read = parseHorizon(typed);
    const message = read.ok ? set('site.horizon', read.points) : read.message;
    setTrouble(message);
    if (!message) setTyped(undefined);
  };
  return (
    <Section title="Skyline" aside={`${horizon.length} points`}>
      <Text fontSize="14px" mb="2" data-testid="skyline-cost">
        {horizon.length === 0
          ? 'Open all round. Pull the rim of the dome up where a hill, a tree or a roof stands.'
          : (hidden[worst] ?? 0) > 0
            ? `It hides the sun for ${clock(hidden[worst] ?? 0)} a day in ${monthNames[worst]}, for ${clock(Math.min(...hidden))} in ${monthNames[least]}.`
            : 'It hides no sun.'}
      </Text>
      <label htmlFor="skyline">
        <Text as="span" fontSize="14px" color="soft">
          Azimuth and elevation in degrees, a line a point
        </Text>
      </label>
      <chakra.textarea
        id="skyline"
        display="block"
        w="100%"
        p="2"
        borderWidth="1px"
        borderRadius="3px"
        color="ink"
        rows={4}
        bg="card"
        borderColor={trouble ? 'brick' : 'line'}
        fontSize="14px"
        value={typed ?? written}
        aria-invalid={trouble !== undefined}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={take}
        {...showsJob(typed !== undefined && typed !== written)}
        onKeyDown={(event) => {
          if (event.key !== 'Escape') return;
          setTyped(undefined);
          setTrouble(undefined);
        }}
      />
      {trouble && (
        <Text role="alert" fontSize="13px" color="brickText">
          {trouble} The skyline is as it was.
        </Text>
      )}
      {horizon.length > 0 && (
        <Button
          size="xs"
          variant="outline"
          mt="2"
          onClick={() => {
            setTyped(undefined);
            setTrouble(undefined);
            set('site.horizon', []);
          }}
        >
          Open it all round
        </Button>
      )}
    </Section>
  );
}

/** Ground, wind, a row in front and the roof: what stands about the pane. */
export function AboutSection({ job, habit }: { job: Job; habit: Habit }) {
  const set = useSet();
  const { exposure, standing } = job.site;
  const near = <T extends { words: string }>(list: readonly T[], of: (one: T) => number, value: number) => {
    const known = list.map((one) => ({ value: String(of(one)), words: one.words }));
    return known.some((one) => one.value === String(value))
      ? known
      : [...known, { value: String(value), words: `${formatNumber(value, 2)}, as set` }];
  };
  return (
    <Section title="About the pane">
      <SimpleGrid columns={2} gap="3">
        <Choice
          label="Ground before it"
          value={String(exposure.albedo)}
          choices={near(grounds, (one) => one.albedo, exposure.albedo)}
          onValue={(value) => set('site.exposure.albedo', Number(value))}
        />
        <Choice
          label="In the wind"
          value={String(exposure.windShare)}
          choices={near(exposures, (one) => one.share, exposure.windShare)}
          onValue={(value) => set('site.exposure.windShare', Number(value))}
        />
      </SimpleGrid>
      <Optional
        on={standing.front !== undefined}
        add="A row stands in front"
        remove="No row in front"
        onAdd={() => set('site.standing.front', { spacing: 3, rise: 0 })}
        onRemove={() => set('site.standing.front', undefined)}
      >
        <Entry
          label="Row in front, foot to foot"
          value={standing.front?.spacing}
          kind="height"
          habit={habit}
          digits={1}
          onValue={(value) => set('site.standing.front.spacing', value)}
        />
        <Entry
          label="its foot higher by"
          value={standing.front?.rise}
          kind="height"
          habit={habit}
          digits={1}
          onValue={(value) => set('site.standing.front.rise', value)}
        />
      </Optional>
      <Optional
        on={standing.roof !== undefined}
        add="Compare with the roof"
        remove="Forget the roof"
        onAdd={() => set('site.standing.roof', { tilt: 22, aim: standing.aim })}
        onRemove={() => set('site.standing.roof', undefined)}
      >
        <Entry
          label="Roof pitch, ° or 6/12"
          value={standing.roof?.tilt}
          kind="number"
          habit={habit}
          parse={parsePitch}
          onValue={(value) => set('site.standing.roof.tilt', value)}
        />
        <Entry
          label="falls toward, ° from north"
          value={standing.roof?.aim}
          kind="number"
          habit={habit}
          onValue={(value) => set('site.standing.roof.aim', value)}
        />
      </Optional>
    </Section>
  );
}

function Optional(props: {
  on: boolean;
  add: string;
  remove: string;
  onAdd(): void;
  onRemove(): void;
  children: ReactNode;
}) {
  return (
    <Box mt="3">
      {props.on && (
        <SimpleGrid columns={2} gap="3" mb="2">
          {props.children}
        </SimpleGrid>
      )}
      <Button size="xs" variant="outline" onClick={props.on ? props.onRemove : props.onAdd}>
        {props.on ? props.remove : props.add}
      </Button>
    </Box>
  );
}

/** Mains water, night sky and wind here, each with how it comes about. */
export function HereSection({ job, habit }: { job: Job; habit: Habit }) {
  const set = useSet();
  const [open, setOpen] = useState<string | undefined>(undefined);
  const { mains, sky, wind } = siteDerivations(job.site);
  const temperature = (value: number) => formatQuantity('temperature', value, habit, 0).text;
  const speed = (value: number) => formatQuantity('speed', value, habit);
  const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
  const rows: { label: string; value: string; band?: string; derivation: Derivation }[] = [
    {
      label: 'Mains water',
      value: `${temperature(Math.min(...mains.values))} to ${temperature(Math.max(...mains.values))}`,
      derivation: mains.derivation,
    },
    {
      label: 'Night sky, clear to overcast',
      value: `${temperature(mean(sky.clear))} to ${temperature(mean(sky.overcast))}`,
      derivation: sky.derivation,
    },
    {
      label: 'Wind at the panel',
      value: speed(wind.likely).text,
      band: `${speed(wind.low).number} to ${speed(wind.high).number}`,
      derivation: wind.derivation,
    },
  ];
  const measured = job.site.mains;
  const estimate = { coldest: Math.round(Math.min(...mains.values)), warmest: Math.round(Math.max(...mains.values)) };
  return (
    <Section title="Water, sky and wind here" aside="over the year">
      {rows.map(({ label, value, band, derivation }) => (
        <Readout
          key={label}
          label={label}
          value={value}
          {...(band ? { band } : {})}
          {...(open === label ? { derivation } : {})}
          habit={habit}
          onOpen={(name) => setOpen(open === name ? undefined : name)}
        />
      ))}
      <Optional
        on={measured !== null}
        add="I measured the mains"
        remove="Back to the estimate"
        onAdd={() => set('site.mains', estimate)}
        onRemove={() => set('site.mains', null)}
      >
        <FieldAt path="site.mains.coldest" />
        <FieldAt path="site.mains.warmest" />
      </Optional>
    </Section>
  );
}
