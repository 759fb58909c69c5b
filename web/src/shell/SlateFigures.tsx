import { isClash } from '@north-pane/core/care';
import { isPicked, type Job } from '@north-pane/core/document';
import { keyFigures } from '@north-pane/core/figures';
import { formatChange, formatMoney, type Habit, sayWords, signed } from '@north-pane/core/quantity';
import { sayReadout } from '@north-pane/core/readout';
import { Link } from 'react-router';
import { goToSection } from '../parts/Section';
import { type Derived, derive, useDerived } from '../state/derived';
import { useHabit } from '../state/habit';
import { useDocument, useJob } from '../state/job';
import { useProvedPlan } from '../state/proofs';
import { ink } from '../theme/ink';

interface Cell {
  label: string;
  value: string;
  /** Change since the kept revision, when it can be seen at the digits shown. */
  change?: { text: string | undefined; good?: boolean };
  warn?: boolean;
  /** Stands on a phone without opening the rest. */
  first?: boolean;
  /** Leads to what is to be looked at. */
  leads?: boolean;
}

/** In the place of a figure that cannot be worked out; the reason stands under Problems and warnings. */
const none = 'none';

function cells(
  { figures, findings }: Derived,
  kept: Derived | undefined,
  habit: Habit,
  { currency, spent }: { currency: string; spent: number },
): Cell[] {
  const clashes = findings.filter(isClash).length;
  const cautions = findings.filter((one) => one.severity === 'caution').length;
  const before = kept ? keyFigures(kept.figures) : [];
  const cost = (kept && figures.cost !== undefined && figures.cost - (kept.figures.cost ?? figures.cost)) || 0;
  return [
    ...keyFigures(figures).map((vital): Cell => {
      const { id, label, kind, digits, values, better, first } = vital;
      const [now] = values;
      const then = before.find((one) => one.id === id)?.values[0];
      const moved = now === undefined || then === undefined ? 0 : now - then;
      return {
        label: sayWords(label, habit),
        value: now === undefined ? none : sayReadout(vital, habit),
        warn: now === undefined,
        ...(first ? { first } : {}),
        ...(kind === 'number' || kind === 'ratio'
          ? {}
          : {
              change: {
                text: formatChange(kind, moved, habit, digits),
                ...(better ? { good: better === 'more' ? moved > 0 : moved < 0 } : {}),
              },
            }),
      };
    }),
    {
      first: true,
      label: figures.unpriced.length > 0 ? `cost so far, ${figures.unpriced.length} unpriced` : 'cost so far',
      value: figures.cost === undefined ? none : formatMoney(spent, currency, 0),
      change: { text: signed(cost, 0), good: cost < 0 },
    },
    cautions > 0
      ? { label: 'problems, warnings', value: `${clashes}, ${cautions}`, warn: true, first: true, leads: true }
      : { label: 'problems', value: String(clashes), warn: clashes > 0, first: true, leads: true },
  ];
}

/** What the job comes to, beside what the kept revision came to; nothing before a kind of heater is picked. */
export function SlateFigures({ kept }: { kept: Job | undefined }) {
  const job = useDocument();
  const id = useJob((state) => state.id) ?? '';
  if (isPicked(job)) return <Figures kept={kept} />;
  return (
    <p style={{ padding: '12px 16px', lineHeight: 1.35 }}>
      No heater picked yet: no figures.{' '}
      <Link to={`/jobs/${id}/pick`} style={{ textDecoration: 'underline', textUnderlineOffset: 3, fontWeight: 600 }}>
        Pick a kind
      </Link>
    </p>
  );
}

function Figures({ kept }: { kept: Job | undefined }) {
  const { currency } = useDocument();
  const derived = useDerived();
  const plan = useProvedPlan();
  const habit = useHabit();
  const id = useJob((state) => state.id) ?? '';
  return cells(derived, kept && derive(kept), habit, { currency, spent: plan.cost }).map((cell) => (
    <SlateCell
      key={cell.label.replace(/[ ,].*/, '')}
      label={cell.label}
      value={cell.value}
      warn={cell.warn}
      moved={cell.change?.text}
      good={cell.change?.good}
      first={cell.first ?? false}
      to={cell.leads ? `/jobs/${id}/size` : undefined}
    />
  ));
}

interface SlateCellProps {
  label: string;
  value: string;
  warn: boolean | undefined;
  moved: string | undefined;
  good: boolean | undefined;
  first: boolean;
  /** Where it leads, when it is pressed. */
  to: string | undefined;
}

/** One figure of the slate, drawn again only when it changes; plain elements, as the readouts of the bench. */
function SlateCell({ label, value, warn, moved, good, first, to }: SlateCellProps) {
  const figure = (
    <>
      <p style={{ fontSize: 13, color: ink('chalkSoft') }}>{label}</p>
      <p style={{ ...vital, color: warn ? '#E5B94E' : ink('chalk') }}>
        {value}{' '}
        {moved && (
          <span
            style={{
              fontSize: 13,
              fontWeight: 500,
              color: moves[good === undefined ? 'plain' : good ? 'good' : 'bad'],
            }}
          >
            {moved}
          </span>
        )}
      </p>
    </>
  );
  return (
    <div style={cellStyle} data-first={first ? 'yes' : 'no'}>
      {to ? (
        <Link
          to={to}
          onClick={() => goToSection('Problems and warnings')}
          title="To what is to be looked at"
          style={{ display: 'block' }}
        >
          {figure}
        </Link>
      ) : (
        figure
      )}
    </div>
  );
}

const cellStyle = {
  padding: '7px 14px',
  borderLeft: `1px solid ${ink('slateLine')}`,
  flexShrink: 0,
  whiteSpace: 'nowrap',
} as const;

const vital = { fontFamily: 'var(--np-fonts-heading)', fontWeight: 600, fontSize: 20, lineHeight: 1.2 } as const;

/** Colours on slate of a change for the better, for the worse, and of one that is neither. */
const moves = { good: '#8FC4BD', bad: '#E3A27C', plain: '#A9B5B8' } as const;
