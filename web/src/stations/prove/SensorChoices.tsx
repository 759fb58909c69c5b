import { Box } from '@chakra-ui/react';
import { flowMeters, type Sensors, sunMeters, thermometers } from '@north-pane/core/proof';
import { Choice } from '../../parts/Choice';

const named = <V extends string>(values: readonly V[]) => values.map((value) => ({ value, words: value }));

/** What the readings were taken with: it sets how far they may be off. */
export function SensorChoices({
  sensors,
  onSensors,
  withoutSun,
}: {
  sensors: Sensors;
  onSensors(sensors: Sensors): void;
  withoutSun?: boolean;
}) {
  return (
    <>
      <Box minW="130px">
        <Choice
          label="Thermometers"
          value={sensors.thermometers}
          choices={named(thermometers)}
          onValue={(value) => onSensors({ ...sensors, thermometers: value })}
        />
      </Box>
      <Box minW="130px">
        <Choice
          label="Flow by"
          value={sensors.flow}
          choices={named(flowMeters)}
          onValue={(value) => onSensors({ ...sensors, flow: value })}
        />
      </Box>
      {!withoutSun && (
        <Box minW="130px">
          <Choice
            label="Sun by"
            value={sensors.sun}
            choices={named(sunMeters)}
            onValue={(value) => onSensors({ ...sensors, sun: value })}
          />
        </Box>
      )}
    </>
  );
}
