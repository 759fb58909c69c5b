import { Box, Flex, Text } from '@chakra-ui/react';
import { errorWords } from '@north-pane/core/care';
import { type Change, describeChange, inverse } from '@north-pane/core/document';
import type { Habit } from '@north-pane/core/quantity';
import { Redo2, Undo2 } from 'lucide-react';
import { lazy, Suspense, useDeferredValue, useState } from 'react';
import { Link } from 'react-router';
import { Boundary } from '../parts/Boundary';
import { SlateButton } from '../parts/SlateButton';
import { usePhone } from '../parts/usePhone';
import { jobActions, savingOf, useDocument, useJob } from '../state/job';
import { useAskToKeep, useKeptRevision } from '../state/kept';
import { revisionBrief, revisionWords } from '../state/moved';
import { type Sync, unsaved } from '../state/sync/state';
import { useView } from '../state/view';
import { ink } from '../theme/ink';
import { KeysButton } from './KeysDialog';
import { LightSwitch } from './LightSwitch';
import { SlateFigures } from './SlateFigures';
import { UnitFlip } from './UnitFlip';

const Revisions = lazy(() => import('../parts/Revisions').then(({ Revisions }) => ({ default: Revisions })));

/** How far the job is saved, in a word or two. */
function savingWords(sync: Sync | undefined): string {
  const waits = sync ? unsaved(sync) : 0;
  return {
    saved: 'saved',
    saving: 'saving',
    offline: `offline, ${waits} ${waits === 1 ? 'waits' : 'wait'}`,
    parted: 'two copies, to choose',
    asked: `${sync?.contested.length ?? 0} to choose`,
  }[savingOf(sync)];
}

/**
 * The strip across the top: what the job comes to, moving as anything moves. One row on a wide screen; name and tools over the figures on
 * a narrower one; on a phone three figures, and the rest with units and light under *More*.
 */
export function Slate() {
  const document = useDocument();
  const kept = useKeptRevision();
  const saved = useJob((state) => savingWords(state.sync));
  const [more, setMore] = useState(false);
  const toggleMore = () => setMore((now) => !now);
  const [looking, setLooking] = useState(false);
  return (
    <Flex
      as="header"
      bg="slate"
      color="chalk"
      css={onSlate}
      flexShrink={0}
      align="stretch"
      wrap={{ base: 'wrap', xl: 'nowrap' }}
      contain="layout paint style"
      className="slate"
      position="relative"
    >
      <Plate
        name={document.name}
        words={`${revisionWords(kept)}, ${saved}`}
        brief={`${revisionBrief(kept)}, ${saved}`}
      />
      <Flex
        order={{ base: 3, xl: 0 }}
        w={{ base: '100%', xl: 'auto' }}
        flex={{ xl: '1 1 auto' }}
        minW="0"
        wrap={{ base: 'wrap', md: 'nowrap' }}
        justify={{ md: 'space-between', xl: 'flex-start' }}
        borderTopWidth={{ base: '1px', xl: '0' }}
        borderColor="slateLine"
        className={more ? 'slate-cells slate-more' : 'slate-cells'}
      >
        <Boundary
          of={document}
          fallback={(error) => (
            <Text px="4" py="3" fontSize="14px" role="alert">
              {errorWords(error)}: no figures. Undo the last change.
            </Text>
          )}
        >
          <SlateFigures kept={kept?.document} />
        </Boundary>
        {more && (
          <Flex w="100%" gap="2" px="3" py="2" display={{ base: 'flex', md: 'none' }} wrap="wrap">
            <UnitFlip own={document.units} />
            <LightSwitch />
            <KeysButton />
            <SlateButton type="button" onClick={() => setLooking(true)}>
              Versions
            </SlateButton>
          </Flex>
        )}
        {looking && <Kept onClose={() => setLooking(false)} />}
      </Flex>
      <Tools own={document.units} more={more} onMore={toggleMore} />
    </Flex>
  );
}

/** On slate the focus ring is a light one, by day as by night; on a phone what is not first waits under *More*. */
const onSlate = {
  '--np-colors-focus': '#8FC4BD',
  '@media (max-width: 47.99em)': {
    '& .slate-cells > *': { flex: '1 1 30%' },
    '& .slate-cells > * > a': { minHeight: '44px' },
    '& .slate-cells:not(.slate-more) > [data-first=no]': { display: 'none' },
  },
  // In a low window every figure waits there.
  '@media (max-width: 47.99em) and (max-height: 480px)': {
    maxHeight: '60dvh',
    overflowY: 'auto',
    '& .slate-cells:not(.slate-more)': { display: 'none' },
  },
};

function Plate({ name, words, brief }: { name: string; words: string; brief: string }) {
  const [looking, setLooking] = useState(false);
  const narrow = usePhone();
  return (
    <Box
      px={{ base: '3', md: '4' }}
      py="1.5"
      flex={{ base: '1 1 0', xl: '0 0 auto' }}
      minW={{ base: '110px', md: '216px' }}
    >
      <Link to="/" aria-label={`${name}: back to the shelf`} style={{ display: 'block', minHeight: narrow ? 44 : 24 }}>
        <Text
          as="h1"
          fontFamily="heading"
          fontWeight="600"
          fontSize="17px"
          lineHeight="1.25"
          minH="24px"
          whiteSpace="nowrap"
          overflow="hidden"
          textOverflow="ellipsis"
          maxW={{ base: '100%', xl: '220px' }}
        >
          {name}
        </Text>
        {narrow && <span style={keptWords}>{brief}</span>}
      </Link>
      {!narrow && <KeptButton words={words} onLook={() => setLooking(true)} />}
      {looking && <Kept onClose={() => setLooking(false)} />}
    </Box>
  );
}

function Kept({ onClose }: { onClose(): void }) {
  return (
    <Suspense fallback={null}>
      <Revisions onClose={onClose} />
    </Suspense>
  );
}

function KeptButton({ words, onLook }: { words: string; onLook(): void }) {
  return (
    <button type="button" title="Versions" onClick={onLook} style={keptButton}>
      {words}
    </button>
  );
}

const keptWords = {
  display: 'block',
  fontSize: 13,
  color: ink('chalkSoft'),
  whiteSpace: 'nowrap',
  overflow: 'hidden',
  textOverflow: 'ellipsis',
} as const;

const keptButton = {
  ...keptWords,
  maxWidth: '100%',
  minHeight: 24,
  cursor: 'pointer',
  textDecoration: 'underline',
  textDecorationColor: ink('slateEdge'),
  textUnderlineOffset: 3,
} as const;

/** Fields that the words of an undo name. */
const mostNamed = 3;

/** What an undo or a redo does, in words: `Undo: Riser pitch, 118 mm to 106 mm (Ctrl Z)`. */
function entryWords(what: string, edits: readonly Change[] | undefined, keys: string): string {
  const { document } = jobActions();
  if (!edits || !document) return `${what} (${keys})`;
  const habit = useView.getState().habit ?? document.units;
  const said = edits.slice(0, mostNamed).map((edit) => {
    const { name, before, after } = describeChange(document, edit, habit);
    return `${name}, ${before} to ${after}`;
  });
  const more = edits.length - mostNamed;
  return `${what}: ${said.join('; ')}${more > 0 ? `; ${more} more` : ''} (${keys})`;
}

/** Undo and redo, by themselves: their words change with every edit, and nothing beside them does. */
function UndoRedo() {
  const undo = useJob((state) => state.undo);
  const redo = useJob((state) => state.redo);
  // The words of a tooltip may come a task later than the figure beside it.
  const last = useDeferredValue(useJob((state) => state.sync?.past[state.sync.past.length - 1]));
  const next = useDeferredValue(useJob((state) => state.sync?.future[0]));
  return (
    <>
      <SlateButton
        type="button"
        aria-label="Undo"
        title={entryWords('Undo', last && inverse(last.edits), 'Ctrl Z')}
        disabled={!last}
        onClick={undo}
      >
        <Undo2 size={16} aria-hidden />
      </SlateButton>
      <SlateButton
        type="button"
        aria-label="Redo"
        title={entryWords('Redo', next?.edits, 'Ctrl Y')}
        disabled={!next}
        onClick={redo}
      >
        <Redo2 size={16} aria-hidden />
      </SlateButton>
    </>
  );
}

/** Undo, redo, keep; units, light and keys, which on a phone wait under *More*. */
function Tools({ own, more, onMore }: { own: Habit; more: boolean; onMore(): void }) {
  const ask = useAskToKeep();
  const narrow = usePhone();
  return (
    <Flex
      ml="auto"
      px={{ base: '2', md: '4' }}
      gap={{ base: '1', md: '2' }}
      align="center"
      flexShrink={0}
      className="no-print"
    >
      <UndoRedo />
      <SlateButton type="button" title="Save a version (k)" aria-label="Save version" onClick={ask}>
        {narrow ? 'Save' : 'Save version'}
      </SlateButton>
      <Flex gap="2" display={{ base: 'none', md: 'flex' }}>
        <UnitFlip own={own} />
        <LightSwitch />
        <KeysButton />
      </Flex>
      <SlateButton type="button" aria-expanded={more} display={{ base: 'inline-flex', md: 'none' }} onClick={onMore}>
        {more ? 'Less' : 'More'}
      </SlateButton>
    </Flex>
  );
}
