import { Box, Button, SimpleGrid, Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { formatNumber, type Habit } from '@north-pane/core/quantity';
import { compassBearing, magneticDeclination } from '@north-pane/core/sky';
import { Entry } from '../../parts/Entry';
import { Section } from '../../parts/Section';
import { useJob } from '../../state/job';

const side = (degrees: number) => `${formatNumber(Math.abs(degrees), 1)}° ${degrees < 0 ? 'west' : 'east'}`;

/** How to aim the pane with a compass here: the needle, its error and age, and a bearing to type. */
export function Compass({ job, habit, now }: { job: Job; habit: Habit; now: Date }) {
  const change = useJob((state) => state.change);
  const { latitude, longitude, elevation, declination: given, standing } = job.site;
  const model = magneticDeclination({ at: now, latitude, longitude, elevation });
  const declination = given ?? model.declination;
  const bearing = compassBearing(standing.aim, declination);
  const set = (path: string, value: unknown) => {
    const outcome = change(path, value);
    return outcome.ok ? undefined : outcome.message;
  };
  return (
    <Section title="By compass" aside={given === undefined ? model.model : 'from your map'}>
      {model.useless && given === undefined ? (
        <Text fontSize="14px" color="ochreText">
          The needle lies too flat to be trusted this near to a magnetic pole. Aim by the sun at solar noon.
        </Text>
      ) : (
        <Text fontSize="14px" mb="2">
          The needle points {side(declination)} of true north here
          {given === undefined ? `, give or take ${formatNumber(model.error, 1)}°` : ''}. The pane is aimed when the
          compass shows <b>{formatNumber(bearing)}°</b>. Keep steel, cars and magnets two paces away.
        </Text>
      )}
      <SimpleGrid columns={2} gap="3">
        <Entry
          label="Bearing of the pane, °"
          value={Math.round(bearing)}
          kind="number"
          habit={habit}
          onValue={(value) => {
            if (value < 0 || value > 360) return 'A bearing is 0 to 360.';
            return set('site.standing.aim', Math.round(compassBearing(value, -declination)) % 360);
          }}
        />
        <Entry
          label="By your map, ° east"
          value={given}
          kind="number"
          habit={habit}
          onValue={(value) => set('site.declination', value)}
        />
      </SimpleGrid>
      <Box fontSize="13px" color="soft" mt="1">
        {given === undefined ? (
          <Text color={model.outdated ? 'ochreText' : 'soft'}>
            {model.model} is made for {model.from.getUTCFullYear() + 1} to {model.until.getUTCFullYear() + 1}
            {model.outdated ? ' and is out of date: take the declination from a new map' : ''}. West is negative.
          </Text>
        ) : (
          <Button size="xs" variant="outline" onClick={() => change('site.declination', undefined)}>
            Back to the model
          </Button>
        )}
      </Box>
    </Section>
  );
}
