import { Button, Flex, Text } from '@chakra-ui/react';
import { errorWords } from '@north-pane/core/care';
import { type StockFit, sayFit, sayPointFully, type WasteFreePoint } from '@north-pane/core/cutting';
import { formatLength, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { useEffect, useRef, useState } from 'react';
import { FoldingSection } from '../../parts/Section';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { inShopNow, useJob } from '../../state/job';
import { useWasteFree } from '../../state/wasteFree';
import { ink } from '../../theme/ink';
import { type Work, workLine } from '../../workers/cutWork';
import { heldOf, setDimension, useBenchPanel, useBenchView } from './view';

const line = workLine();

type Asked = 'stretch' | 'shrink' | 'together';

/** Where the dimension in hand wastes less, and ways for the whole panel to use its stock up. */
export function WasteNothing() {
  const habit = useHabit();
  const { job } = useDerived().open;
  const bench = useBenchPanel();
  const held = heldOf(
    bench.panel.design,
    useBenchView((view) => view.chosen),
  );
  const { points, job: looked, share, trouble } = useWasteFree();
  const [failed, setFailed] = useState<string | undefined>(undefined);
  const [work, setWork] = useState<{ asked: Asked; share: number } | undefined>(undefined);
  const [fits, setFits] = useState<{ asked: Asked; list: readonly StockFit[]; of: unknown } | undefined>(undefined);
  const under = useRef<Work<unknown> | undefined>(undefined);
  useEffect(() => () => under.current?.stop(), []);
  const ask = (asked: Asked) => {
    setWork({ asked, share: 0 });
    const { at } = bench;
    const doing = line(async (cut, tell): Promise<readonly StockFit[]> => {
      const onProgress = tell((done: number) => setWork({ asked, share: done }));
      if (asked === 'together') return cut.together(inShopNow(), at, held?.id ?? '', habit, onProgress);
      if (asked === 'shrink') return cut.shrink(inShopNow(), at, habit, onProgress);
      const found = await cut.stretch(inShopNow(), at, habit, onProgress);
      return found ? [found] : [];
    });
    under.current = doing;
    setFailed(undefined);
    doing.done.then(
      (list) => {
        setFits({ asked, list, of: job });
        setWork(undefined);
      },
      (error: unknown) => {
        setFailed(errorWords(error));
        setWork(undefined);
      },
    );
  };
  const stop = () => {
    under.current?.stop();
    setWork(undefined);
  };
  // Points of the job as it was stand until the new ones are found, and say so.
  const fresh = looked === job || points.length === 0;
  return (
    <FoldingSection
      title="Save material"
      aside={
        share === undefined ? (fresh ? held?.label : 'before the change') : `looking, ${Math.round(share * 100)} %`
      }
    >
      {points.length > 0 ? (
        <Points points={points} habit={habit} />
      ) : (
        <Text fontSize="14px" color="soft">
          {looked === job ? 'No size near this one saves stock.' : 'Looking for sizes that save stock.'}
        </Text>
      )}
      {(failed ?? trouble) && (
        <Text role="alert" fontSize="14px" color="brickText">
          That could not be worked out: {failed ?? trouble}
        </Text>
      )}
      <Asks busy={work !== undefined} onAsk={ask} />
      {work && (
        <Flex align="center" gap="2" mt="2" fontSize="14px">
          <progress value={work.share} style={{ flex: 1, accentColor: ink('pane') }} aria-label="How far" />
          <Button size="xs" variant="outline" onClick={stop}>
            Stop
          </Button>
        </Flex>
      )}
      {fits && fits.of === job && !work && <Fits asked={fits.asked} fits={fits.list} habit={habit} />}
    </FoldingSection>
  );
}

function Asks({ busy, onAsk }: { busy: boolean; onAsk(asked: Asked): void }) {
  return (
    <Flex gap="1" mt="2" wrap="wrap">
      <Button size="xs" variant="outline" disabled={busy} onClick={() => onAsk('stretch')}>
        Use the stock up
      </Button>
      <Button size="xs" variant="outline" disabled={busy} onClick={() => onAsk('shrink')}>
        Shrink to save
      </Button>
      <Button size="xs" variant="outline" disabled={busy} onClick={() => onAsk('together')}>
        Two sizes at once
      </Button>
    </Flex>
  );
}

function Points({ points, habit }: { points: readonly WasteFreePoint[]; habit: Habit }) {
  const { currency } = useDerived().open.job;
  const bench = useBenchPanel();
  const held = heldOf(
    bench.panel.design,
    useBenchView((view) => view.chosen),
  );
  const edit = held?.edit;
  if (!held || !edit) return null;
  return (
    <ul style={{ listStyle: 'none', fontSize: 14 }}>
      {points.map((point) => (
        <li key={point.value} style={{ borderBottom: `1px solid ${ink('line')}` }}>
          <button
            type="button"
            className="plain-target"
            onClick={() => setDimension(bench.at, { ...held, edit }, point.value, habit)}
            style={{ display: 'block', width: '100%', textAlign: 'left', padding: '4px 0', cursor: 'pointer' }}
          >
            <span style={{ fontWeight: 600, color: ink('copperText') }}>{formatLength(point.value, habit).text}</span>{' '}
            {sayPointFully(point, currency)}, {heatWords(point.heat, habit)}
          </button>
        </li>
      ))}
    </ul>
  );
}

function heatWords(heat: number, habit: Habit): string {
  if (Math.abs(heat) < 0.5) return 'the heat stays';
  return `${heat < 0 ? 'loses' : 'gains'} ${formatQuantity('power', Math.abs(heat), habit, 0).text}`;
}

const none: Record<Asked, string> = {
  stretch: 'Nothing can grow without buying more.',
  shrink: 'Nothing near saves a length by being smaller.',
  together: 'No two sizes together save more than one alone.',
};

function Fits({ asked, fits, habit }: { asked: Asked; fits: readonly StockFit[]; habit: Habit }) {
  const { currency } = useDerived().open.job;
  const changeAll = useJob((state) => state.changeAll);
  if (fits.length === 0)
    return (
      <Text fontSize="14px" mt="2">
        {none[asked]}
      </Text>
    );
  return (
    <ul style={{ listStyle: 'none', fontSize: 14, marginTop: 8 }}>
      {fits.map((fit) => (
        <li
          key={fit.moves.map(({ path, to }) => `${path} ${to}`).join()}
          style={{ borderBottom: `1px solid ${ink('line')}`, padding: '4px 0' }}
        >
          {fit.moves.map(({ path, label, from, to }) => (
            <Text key={path} fontWeight="600">
              {label} {formatLength(from, habit).text} → {formatLength(to, habit).text}
            </Text>
          ))}
          {sayFit(fit, currency)}, {heatWords(fit.heat, habit)}.{' '}
          <Button size="xs" variant="outline" onClick={() => changeAll(fit.moves)}>
            Draw it so
          </Button>
        </li>
      ))}
    </ul>
  );
}
