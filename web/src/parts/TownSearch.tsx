import { Box, Button, Flex, Input, Text } from '@chakra-ui/react';
import { useEffect, useId, useState } from 'react';
import { findTowns, type Town } from '../state/towns';

/** Where something stands: degrees, and the clock there where it is known. */
export interface FoundPlace {
  latitude: number;
  longitude: number;
  zone?: string;
}

function wordsOf({ name, of }: Town): string {
  return `${name}, ${of}`;
}

/** ms of quiet before what is typed is looked for. */
const quiet = 150;

/** A place by the name of its town, or where this device is. */
export function TownSearch({ onPlace }: { onPlace(place: FoundPlace): void }) {
  const id = useId();
  const [text, setText] = useState('');
  const [towns, setTowns] = useState<readonly Town[] | undefined>(undefined);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  useEffect(() => {
    let wanted = true;
    const timer = window.setTimeout(() => {
      findTowns(text).then(
        (found) => wanted && setTowns(text.trim().length < 2 ? undefined : found),
        () => wanted && setTrouble('The list of towns did not load. Type latitude and longitude.'),
      );
    }, quiet);
    return () => {
      wanted = false;
      window.clearTimeout(timer);
    };
  }, [text]);
  /** What the place that was taken is called. */
  const [taken, setTaken] = useState<string | undefined>(undefined);
  const take = (place: FoundPlace, name: string) => {
    setTrouble(undefined);
    setText('');
    setTaken(name);
    setTowns(undefined);
    onPlace(place);
  };
  const here = () => {
    if (!navigator.geolocation) {
      setTrouble('This browser does not tell where it is.');
      return;
    }
    navigator.geolocation.getCurrentPosition(
      ({ coords }) => take({ latitude: coords.latitude, longitude: coords.longitude }, 'where this device is'),
      () => setTrouble('The device does not say where it is: allow it in the browser, or type a town.'),
      { timeout: 10_000, maximumAge: 600_000 },
    );
  };
  return (
    <Box>
      <label htmlFor={id}>
        <Text as="span" fontSize="14px" color="soft">
          Nearest town
        </Text>
      </label>
      <Flex gap="2" wrap="wrap">
        <Input
          id={id}
          size="sm"
          bg="card"
          flex="1 1 60px"
          w="auto"
          autoComplete="off"
          placeholder="name"
          value={text}
          aria-describedby={`${id}-found`}
          onChange={(event) => setText(event.currentTarget.value)}
          onKeyDown={(event) => {
            const [first] = towns ?? [];
            if (event.key !== 'Enter') return;
            // In a form it takes the town, and does not send the form off.
            event.preventDefault();
            if (first) take(first, wordsOf(first));
          }}
        />
        <Button size="sm" variant="outline" type="button" onClick={here}>
          My location
        </Button>
      </Flex>
      <Box id={`${id}-found`} aria-live="polite" fontSize="14px">
        {taken && text === '' && <Text color="soft">Taken: {taken}.</Text>}
        {towns?.length === 0 && (
          <Text color="soft">No town of that name is on the list: type the next larger one.</Text>
        )}
        {towns?.map((town) => (
          <Button
            key={`${town.name} ${town.latitude}`}
            type="button"
            size="sm"
            variant="plain"
            w="100%"
            justifyContent="start"
            minH={{ base: '44px', md: '30px' }}
            onClick={() => take(town, wordsOf(town))}
          >
            {wordsOf(town)}
          </Button>
        ))}
        {trouble && (
          <Text role="alert" color="brickText">
            {trouble}
          </Text>
        )}
      </Box>
    </Box>
  );
}
