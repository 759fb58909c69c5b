import { Box, Grid, Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { formatPlace, parsePlace } from '@north-pane/core/quantity';
import { isPlaced, namePlace } from '@north-pane/core/site';
import { zoneDoubt } from '@north-pane/core/time';
import { Choice } from '../../parts/Choice';
import { FieldAt } from '../../parts/FieldAt';
import { TextEntry } from '../../parts/TextEntry';
import { TownSearch } from '../../parts/TownSearch';
import { useJob } from '../../state/job';
import { ClimateChoice } from './ClimateChoice';

/** The site on one line: name, place in any form, height, clock, and where its weather comes from. */
export function Where({ job }: { job: Job }) {
  const { change, changeAll } = useJob();
  const { site } = job;
  const zones = [...new Set([site.zone, 'Etc/UTC', ...Intl.supportedValuesOf('timeZone')])];
  const doubt = zoneDoubt(site.zone, site.longitude);
  return (
    <Grid
      gap="3"
      templateColumns={{ base: '1fr 1fr', lg: '1fr 1.2fr 1.1fr 0.6fr 1fr 1.2fr' }}
      alignItems="start"
      role="region"
      aria-label="Where it stands"
    >
      <FieldAt path="name" onValue={(name) => (change('name', name).ok ? undefined : 'Give the job a name.')} />
      <TextEntry
        label="Latitude, longitude"
        hint="40.9 S, 172.9 E; -40.9, 172.9; 40°54′S 172°54′E: as you have it"
        value={isPlaced(site) ? formatPlace(site.latitude, site.longitude) : ''}
        placeholder="52.3 N, 1.9 W"
        onText={(text) => {
          const place = parsePlace(text);
          if (!place.ok) return place;
          return changeAll(namePlace(site, place, Intl.DateTimeFormat().resolvedOptions().timeZone));
        }}
      />
      <TownSearch
        onPlace={({ latitude, longitude, zone }) =>
          changeAll(namePlace(site, { latitude, longitude }, zone ?? Intl.DateTimeFormat().resolvedOptions().timeZone))
        }
      />
      <FieldAt path="site.elevation" label="Height" />
      <Box minW="0">
        <Choice
          label="Time zone"
          value={site.zone}
          choices={zones.map((zone) => ({ value: zone, words: zone.replaceAll('_', ' ') }))}
          onValue={(zone) => change('site.zone', zone)}
        />
        {doubt !== undefined && (
          <Text fontSize="13px" color="ochreText" role="status">
            By the longitude the clock here should be near UTC{doubt < 0 ? '−' : '+'}
            {Math.abs(doubt)}.
          </Text>
        )}
      </Box>
      <Box gridColumn={{ base: 'span 2', lg: 'auto' }}>
        <ClimateChoice site={site} />
      </Box>
    </Grid>
  );
}
