import { Box, Stack } from '@chakra-ui/react';
import { openJob } from '@north-pane/core/job';
import { useDocument } from '../../state/job';
import { FlowForecast } from './FlowForecast';
import { Laboratory } from './Laboratory';
import { StoreForecast } from './StoreForecast';

/** How hot and how much: heaters that water flows through at a sun and a flow, those that hold their water through a day. */
export default function Forecast() {
  const document = useDocument();
  const heaters = openJob(document).panels;
  const stores = heaters.flatMap(({ design, document: { id } }, index) =>
    design.thermal.integralStorage ? [{ id, index }] : [],
  );
  return (
    <Stack gap="0">
      {stores.length < heaters.length && <FlowForecast />}
      {stores.map(({ id, index }) => (
        <StoreForecast key={id} job={document} index={index} title={heaters.length > 1 ? id : undefined} />
      ))}
      <Box px="5" pb="5">
        <Laboratory job={document} />
      </Box>
    </Stack>
  );
}
