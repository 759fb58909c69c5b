import { Box, Button, Dialog, Flex, Portal, Text } from '@chakra-ui/react';
import { entryName } from '@north-pane/core/catalogue';
import { type Habit, sayWords } from '@north-pane/core/quantity';
import { type Part, workWords } from '@north-pane/core/shop';
import { ChevronLeft, ChevronRight, Minus, Plus, X } from 'lucide-react';
import { useState } from 'react';
import { LengthText } from '../../parts/LengthText';
import { record, useJob } from '../../state/job';
import { BendsFigures } from './Bends';
import { HolesFigures, holesKey } from './Holes';
import { fineRow } from './MarkOutCard';

/** A phone on its side, or any other low window: what is read stands left, what is pressed right. */
const lying = '@media (max-height: 520px)';

/** One piece at a time in figures that are read from the saw: what to cut, where the holes are, how many are done. */
export function ShopMode({ parts, habit, onClose }: { parts: readonly Part[]; habit: Habit; onClose(): void }) {
  const ticks = useJob((state) => state.shop.made);
  const done = (part: Part) => Math.min(part.count, ticks[part.id] ?? 0);
  const first = parts.findIndex((part) => done(part) < part.count);
  const [at, setAt] = useState(Math.max(0, first));
  const part = parts[Math.min(at, parts.length - 1)];
  if (!part) return null;
  const made = done(part);
  const set = (count: number) => record([{ kind: 'made', part: part.id, count: Math.max(0, count) - made }]);
  const left = parts.reduce((sum, one) => sum + one.count - done(one), 0);
  const go = (by: number) => setAt((at + by + parts.length) % parts.length);
  return (
    <Dialog.Root open size="full" onOpenChange={({ open }) => !open && onClose()}>
      <Portal>
        <Dialog.Positioner>
          <Dialog.Content bg="ground" aria-label="Shop mode" borderRadius="0">
            <Flex direction="column" h="100dvh" p={{ base: '4', md: '8' }} css={{ [lying]: { padding: '12px 16px' } }}>
              <Flex justify="space-between" align="center" gap="3">
                <Dialog.Title fontFamily="heading" fontSize="20px">
                  Piece {at + 1} of {parts.length}
                  <Text as="span" color="soft" fontWeight="400">
                    , {left === 0 ? 'all made' : `${left} left to make`}
                  </Text>
                </Dialog.Title>
                <Button variant="outline" size="md" aria-label="Leave shop mode" onClick={onClose}>
                  <X size={22} aria-hidden />
                </Button>
              </Flex>
              <Flex flex="1" minH="0" direction="column" css={{ [lying]: { flexDirection: 'row', gap: '24px' } }}>
                <Box flex="1" minH="0" overflowY="auto" pt="3" tabIndex={0} role="group" aria-label={part.name}>
                  <Text
                    fontFamily="heading"
                    fontWeight="600"
                    fontSize={{ base: '30px', md: '38px' }}
                    css={{ [lying]: { fontSize: '26px' } }}
                    lineHeight="1.15"
                  >
                    {part.name}
                  </Text>
                  <Text fontSize="19px" color="soft">
                    {entryName(part.item)}
                  </Text>
                  <Text
                    fontFamily="heading"
                    fontWeight="600"
                    fontSize={{ base: '64px', md: '104px' }}
                    css={{ [lying]: { fontSize: '84px' } }}
                    lineHeight="1.1"
                    my="2"
                    data-testid="shop-size"
                  >
                    {part.kind === 'length' ? (
                      <LengthText
                        value={part.length}
                        habit={habit}
                        inchesOnly={part.length < 1}
                        big
                        {...fineRow(part)}
                      />
                    ) : (
                      <>
                        <LengthText value={part.height} habit={habit} bare /> ×{' '}
                        <LengthText value={part.width} habit={habit} big />
                      </>
                    )}
                  </Text>
                  {part.holes?.map((row) => (
                    <HolesFigures key={holesKey(row)} holes={row} habit={habit} size="34px" notes="18px" />
                  ))}
                  {part.bends && <BendsFigures bends={part.bends} habit={habit} size="34px" notes="18px" />}
                  {workWords(part).length > 0 && (
                    <Text fontSize="22px" lineHeight="1.35" mt="3">
                      {sayWords(workWords(part).join('; '), habit)}
                    </Text>
                  )}
                </Box>
                <Box css={{ [lying]: { width: '330px', flexShrink: 0 } }}>
                  <Flex align="center" justify="center" gap="4" pt="3">
                    <Button
                      variant="outline"
                      h="72px"
                      w="72px"
                      aria-label="One less made"
                      disabled={made === 0}
                      onClick={() => set(made - 1)}
                    >
                      <Minus size={28} aria-hidden />
                    </Button>
                    <Text
                      fontFamily="heading"
                      fontWeight="600"
                      fontSize="34px"
                      minW={{ base: '92px', md: '150px' }}
                      css={{ [lying]: { minWidth: '84px' } }}
                      textAlign="center"
                      aria-live="polite"
                    >
                      {made} of {part.count}
                    </Text>
                    <Button
                      variant="solid"
                      h="72px"
                      flex="1"
                      maxW="240px"
                      fontSize={{ base: '21px', md: '24px' }}
                      disabled={made === part.count}
                      onClick={() => set(made + 1)}
                    >
                      <Plus size={28} aria-hidden /> Made one
                    </Button>
                  </Flex>
                  <Flex justify="space-between" gap="3" pt="3">
                    <Button variant="outline" h="56px" flex="1" fontSize="19px" onClick={() => go(-1)}>
                      <ChevronLeft size={24} aria-hidden /> Piece before
                    </Button>
                    <Button variant="outline" h="56px" flex="1" fontSize="19px" onClick={() => go(1)}>
                      Next piece <ChevronRight size={24} aria-hidden />
                    </Button>
                  </Flex>
                </Box>
              </Flex>
            </Flex>
          </Dialog.Content>
        </Dialog.Positioner>
      </Portal>
    </Dialog.Root>
  );
}
