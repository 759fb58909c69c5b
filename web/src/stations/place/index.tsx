import { Box, Flex, Input, SimpleGrid, Text } from '@chakra-ui/react';
import { noonSun } from '@north-pane/core';
import { useMemo, useState } from 'react';
import { Choice } from '../../parts/Choice';
import { Entry } from '../../parts/Entry';
import { Section } from '../../parts/Section';
import { useHabit } from '../../state/habit';
import { useDocument, useJob } from '../../state/job';
import { SunDome } from './SunDome';

/** Where the pane stands: the site and the pane's tilt and aim as entries, beside the sun's paths there. */
export default function Place() {
  const document = useDocument();
  const habit = useHabit();
  const { change } = useJob();
  const { site } = document;
  const { aim, tilts } = site.standing;
  const tilt = tilts[0]?.tilt ?? 0;
  const [today] = useState(() => new Date());
  const zones = useMemo(() => [...new Set([site.zone, 'Etc/UTC', ...Intl.supportedValuesOf('timeZone')])], [site.zone]);
  const set = (path: string) => (value: number) => {
    const outcome = change(path, value);
    return outcome.ok ? undefined : outcome.message;
  };
  const year = today.getUTCFullYear();
  const noon = (month: number) => noonSun(new Date(Date.UTC(year, month, 21, 12)), site.latitude, site.longitude);
  const heights = { june: noon(5), december: noon(11) };
  const toward = site.latitude >= 0 ? 180 : 0;
  const off = Math.round(Math.abs(((aim - toward + 540) % 360) - 180));
  return (
    <Flex direction={{ base: 'column', lg: 'row' }} minH="100%" gap="6" p="5">
      <Box w={{ base: '100%', lg: '340px' }} flexShrink={0}>
        <Section title="The job">
          <label htmlFor="job-name">
            <Text as="span" fontSize="14px" color="soft">
              Name
            </Text>
          </label>
          <NameEntry key={document.name} name={document.name} onName={(name) => change('name', name).ok} />
        </Section>
        <Section title="Where">
          <SimpleGrid columns={2} gap="3">
            <Entry
              label="Latitude"
              unitAfter="° north"
              value={site.latitude}
              kind="number"
              habit={habit}
              onValue={set('site.latitude')}
            />
            <Entry
              label="Longitude"
              unitAfter="° east"
              value={site.longitude}
              kind="number"
              habit={habit}
              onValue={set('site.longitude')}
            />
            <Entry
              label="Height above the sea"
              value={site.elevation}
              kind="height"
              habit={habit}
              onValue={set('site.elevation')}
            />
          </SimpleGrid>
          <Text fontSize="13px" color="soft" mt="1" mb="2">
            South and west are negative.
          </Text>
          <Choice
            label="Time zone"
            value={site.zone}
            choices={zones.map((zone) => ({ value: zone, words: zone.replaceAll('_', ' ') }))}
            onValue={(zone) => change('site.zone', zone)}
          />
        </Section>
        <Section title="How the pane stands">
          <SimpleGrid columns={2} gap="3">
            <Entry
              label="Aim"
              unitAfter="° from true north"
              value={aim}
              kind="number"
              habit={habit}
              onValue={set('site.standing.aim')}
            />
            <Entry
              label="Tilt"
              unitAfter="° from level"
              value={tilt}
              kind="number"
              habit={habit}
              onValue={set('site.standing.tilts.0.tilt')}
            />
          </SimpleGrid>
          <Text fontSize="13px" color="soft" mt="1">
            Clockwise: north 0, east 90, south 180, west 270.
          </Text>
        </Section>
      </Box>
      <Flex direction="column" flex="1" minW="0">
        <Section title="The sun’s paths" aside="north up, the horizon at the rim">
          <Text>
            The pane looks {off === 0 ? 'straight' : `${off}° off`} {toward === 180 ? 'south' : 'north'}, tilted{' '}
            {Math.round(tilt)}°. At noon the sun stands {Math.round(heights.june.height)}° high in June and{' '}
            {Math.round(heights.december.height)}° in December; it is square to the pane at {Math.round(90 - tilt)}°.
          </Text>
        </Section>
        <Box h={{ base: '360px', lg: 'calc(100dvh - 220px)' }} maxH="720px">
          <SunDome site={site} aim={aim} tilt={tilt} today={today} />
        </Box>
        <Text fontSize="14px" color="soft" mt="2">
          Thick line: today, a dot at each hour from solar noon. Square: where the pane points; the dashed line is its
          plane.
        </Text>
      </Flex>
    </Flex>
  );
}

function NameEntry({ name, onName }: { name: string; onName(name: string): boolean }) {
  const [typed, setTyped] = useState(name);
  const [refused, setRefused] = useState(false);
  const take = () => {
    if (typed.trim() !== name) setRefused(!onName(typed.trim()));
  };
  return (
    <>
      <Input
        id="job-name"
        size="sm"
        bg="card"
        borderColor="line"
        value={typed}
        maxLength={120}
        onChange={(event) => setTyped(event.currentTarget.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
        aria-invalid={refused}
      />
      {refused && (
        <Text role="alert" color="brickText" fontSize="13px">
          Give the job a name.
        </Text>
      )}
    </>
  );
}
