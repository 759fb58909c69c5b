import { Box, Flex, Grid, SimpleGrid, Text } from '@chakra-ui/react';
import { mainTilt } from '@north-pane/core/document';
import { formatAim, formatPlace, type Habit, parsePitch } from '@north-pane/core/quantity';
import { isPlaced, jobStanding } from '@north-pane/core/site';
import { type StandingStudy, sayStanding } from '@north-pane/core/sky';
import { useEffect, useState } from 'react';
import { Entry } from '../../parts/Entry';
import { Need } from '../../parts/need/Need';
import { Section } from '../../parts/Section';
import { Sentence } from '../../parts/Sentence';
import { useHabit } from '../../state/habit';
import { jobNow, useDocument, useJob } from '../../state/job';
import { useSky } from '../../state/sky';
import { Compass } from './Compass';
import { useLiveStanding } from './live';
import { MonthsWanted } from './MonthsWanted';
import { OffAim } from './OffAim';
import { Outlook } from './Outlook';
import { Schools } from './Schools';
import { SunByHour } from './SunByHour';
import { SunDome } from './SunDome';
import { AboutSection, HereSection, SkylineSection, WeatherSection } from './Surroundings';
import { TiltArc } from './TiltArc';
import { Where } from './Where';

/** The present, moved on every minute: the sun goes on while somebody looks. */
function useNow(): Date {
  const [now, setNow] = useState(() => new Date());
  useEffect(() => {
    const tick = window.setInterval(() => setNow(new Date()), 60_000);
    return () => window.clearInterval(tick);
  }, []);
  return now;
}

/** Where the sun stands, and how the pane should stand to it: dome, tilt and hours above, what is worth what below. */
export default function Place() {
  const job = useDocument();
  const habit = useHabit();
  const changeAll = useJob((state) => state.changeAll);
  const now = useNow();
  const { sun, study, shares, fresh, source } = useSky();
  const { site } = job;
  const { tilt, aim } = jobStanding(job);
  return (
    <Box p={{ base: '4', md: '5' }}>
      <Where job={job} />
      <Sentence id="standing-sentence" fresh={fresh}>
        {!isPlaced(site) && (
          <Text as="span" display="block" color="ochreText" fontSize="18px">
            Nobody has named the place yet. Until then this is somewhere like it, at{' '}
            {formatPlace(site.latitude, site.longitude)}.
          </Text>
        )}
        {study && shares ? sayStanding({ tilt, aim }, shares, study) : 'Working out a year of sun…'}
        <Text as="span" display="block" fontFamily="body" fontWeight="400" fontSize="14px" color="soft">
          {source.words}
        </Text>
      </Sentence>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1.08fr) minmax(0, 1fr)' }} gap="6" mt="1">
        <Box h={{ base: '390px', md: '540px' }}>
          <SunDome site={site} now={now} bestAim={study?.best.year.aim} />
        </Box>
        <Flex direction="column" gap="3" minW="0">
          <Grid templateColumns={{ base: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) 132px' }} gap="3">
            <Box h="225px">
              <TiltArc latitude={site.latitude} longitude={site.longitude} bestTilt={study?.best.year.tilt} now={now} />
            </Box>
            <StandingFields habit={habit} study={study} />
          </Grid>
          <Section title="Sun on the pane" aside="mean of all days, cloudy ones too; hatched: taken by the skyline">
            <Box h="285px">{sun && <SunByHour sun={sun} habit={habit} />}</Box>
          </Section>
        </Flex>
      </Grid>
      <Grid templateColumns={{ base: 'minmax(0, 1fr)', lg: 'minmax(0, 1.75fr) minmax(0, 1fr)' }} gap="6" mt="4">
        <Section title="Rules of thumb compared" aside="in this weather, with this skyline">
          {study && (
            <Schools
              study={study}
              latitude={site.latitude}
              habit={habit}
              onStand={(pane) =>
                changeAll([
                  { path: mainTilt(site).path, value: pane.tilt },
                  { path: 'site.standing.aim', value: pane.aim },
                ])
              }
            />
          )}
          <MonthsWanted job={job} study={study} />
        </Section>
        <Section title="Loss if aimed wrongly">
          {study && shares && <OffAim study={study} shares={shares} aim={aim} tilt={tilt} />}
        </Section>
      </Grid>
      <Section title="The next three days" aside="bars: sun on the pane by the hour; underlined: fit for a test">
        <Outlook job={job} habit={habit} />
      </Section>
      <Grid
        templateColumns={{ base: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))', lg: 'repeat(3, minmax(0, 1fr))' }}
        gap="6"
        mt="4"
      >
        <Box>
          <WeatherSection job={job} habit={habit} source={source} />
          <HereSection job={job} habit={habit} />
        </Box>
        <SkylineSection job={job} now={now} />
        <Box>
          <Need job={job} habit={habit} />
          <Compass job={job} habit={habit} now={now} />
          <AboutSection job={job} habit={habit} />
        </Box>
      </Grid>
    </Box>
  );
}

/** Tilt and aim to type, moving with the handles. */
function StandingFields({ habit, study }: { habit: Habit; study: StandingStudy | undefined }) {
  const change = useJob((state) => state.change);
  const { tilt, aim } = useLiveStanding();
  const set = (path: string) => (value: number) => {
    const outcome = change(path, value);
    return outcome.ok ? undefined : outcome.message;
  };
  return (
    <SimpleGrid columns={{ base: 2, sm: 1 }} gap="2" alignContent="start">
      <Entry
        label="Tilt, ° or 6/12"
        value={tilt}
        kind="number"
        habit={habit}
        parse={parsePitch}
        onValue={(value) => set(mainTilt(jobNow().site).path)(value)}
      />
      <Entry label="Aim, ° from north" value={aim} kind="number" habit={habit} onValue={set('site.standing.aim')} />
      <Text fontSize="13px" color="soft" gridColumn={{ base: 'span 2', sm: 'auto' }}>
        {formatAim(aim)}. Copper points: most sun over the year
        {study ? `, ${Math.round(study.best.year.tilt)}° ${formatAim(study.best.year.aim)}` : ''}.
      </Text>
    </SimpleGrid>
  );
}
