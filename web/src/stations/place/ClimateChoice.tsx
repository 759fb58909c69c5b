import { Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { type BroadClimateId, broadClimateIds, broadClimates, likelyClimate } from '@north-pane/core/sky';
import { Choice } from '../../parts/Choice';
import { useJob } from '../../state/job';
import { useKeptWeather, useTakeKept } from '../../state/weather';

const guess = 'guess';
const own = 'own';

/** What the weather is taken from: a broad kind, figures of one's own, or a file that is kept. */
export function ClimateChoice({ site }: { site: Job['site'] }) {
  const change = useJob((state) => state.change);
  const kept = useKeptWeather();
  const take = useTakeKept();
  const { climate, latitude, zone } = site;
  const value =
    climate === null
      ? guess
      : climate.kind === 'broad'
        ? climate.type
        : climate.kind === 'months'
          ? own
          : `file ${climate.weather}`;
  const files = new Map((kept.data ?? []).map(({ id, name }) => [`file ${id}`, { weather: id, name }]));
  if (climate?.kind === 'file') files.set(value, { weather: climate.weather, name: climate.name });
  const choices = [
    { value: guess, words: `${broadClimates[likelyClimate(latitude)].name} (guessed from the latitude)` },
    ...broadClimateIds.map((id) => ({
      value: id as string,
      words: `${broadClimates[id].name}: ${broadClimates[id].like}`,
    })),
    ...(climate?.kind === 'months' ? [{ value: own, words: 'twelve means of your own' }] : []),
    ...[...files].map(([id, { name }]) => ({ value: id, words: `file “${name}”` })),
  ];
  return (
    <>
      <Choice
        label="Weather"
        value={value}
        choices={choices}
        onValue={(chosen) => {
          const file = files.get(chosen);
          if (chosen === guess) change('site.climate', null);
          else if (file) take.mutate({ ...file, zone });
          else if (chosen !== own) change('site.climate', { kind: 'broad', type: chosen as BroadClimateId });
        }}
      />
      {take.isError && (
        <Text role="alert" fontSize="13px" color="brickText">
          {take.error.message}
        </Text>
      )}
    </>
  );
}
