import { Box } from '@chakra-ui/react';
import { type Dimension, type Drawing, extent, type Finding, type Habit } from '@north-pane/core';
import type { ReactNode } from 'react';
import { useSize } from '../parts/useSize';
import { ink } from '../theme/ink';
import { DimensionMark } from './DimensionMark';
import { type Placing, ShapeMark } from './ShapeMark';
import { SvgLength } from './SvgLength';

interface DrawingViewProps {
  drawing: Drawing;
  habit: Habit;
  /** Id of the dimension in hand. */
  chosen?: string;
  onChoose?(dimension: Dimension): void;
  /** Typing happens here, on the drawing, over the chosen dimension. */
  entry?: ReactNode;
  findings?: readonly { finding: Finding; headline: string }[];
  onFinding?(finding: Finding): void;
  /** More marks, in the drawing's own places. */
  over?(place: Placing): ReactNode;
  /** px round the drawing for words. */
  margin?: { x: number; y: number };
}

/** A drawing from the model, as large as its room allows. */
export function DrawingView({
  drawing,
  habit,
  chosen,
  onChoose,
  entry,
  findings = [],
  onFinding,
  over,
  margin = { x: 34, y: 26 },
}: DrawingViewProps) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const box = extent(drawing);
  const scale = Math.max(1, Math.min((width - 2 * margin.x) / box.width, (height - 2 * margin.y) / box.height));
  const left = (width - box.width * scale) / 2;
  const bottom = (height - box.height * scale) / 2;
  const place: Placing = {
    scale,
    x: (metres) => left + (metres - box.left) * scale,
    y: (metres) => height - bottom - (metres - box.bottom) * scale,
  };
  const held = drawing.dimensions.find((dimension) => dimension.id === chosen);
  return (
    <Box ref={ref} position="relative" w="100%" h="100%" minH="0" overflow="hidden">
      {width > 0 && (
        <svg width={width} height={height} role="group" aria-label={drawing.title} style={{ display: 'block' }}>
          {drawing.shapes.map((shape, index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: shapes have no names of their own and are drawn in order
            <ShapeMark key={index} shape={shape} place={place} />
          ))}
          {over?.(place)}
          {drawing.labels.map((label) => (
            <g key={`${label.words}-${label.at.x}-${label.at.y}`}>
              <line
                x1={place.x(label.at.x)}
                y1={place.y(label.at.y)}
                x2={place.x(label.to.x)}
                y2={place.y(label.to.y)}
                stroke={ink('soft')}
                strokeWidth={0.75}
              />
              <text
                x={place.x(label.to.x) + (label.anchor === 'start' ? 4 : 0)}
                y={place.y(label.to.y)}
                textAnchor={label.anchor}
                dominantBaseline="central"
                fontSize={14}
                fill={ink(label.words === 'hot out' ? 'copperText' : 'ink')}
              >
                {label.words}
                {label.size !== undefined && (
                  <>
                    {' '}
                    <SvgLength value={label.size} habit={habit} />
                  </>
                )}
              </text>
            </g>
          ))}
          {drawing.dimensions
            .filter((dimension) => dimension !== held)
            .map((dimension) => (
              <DimensionMark
                key={dimension.id}
                dimension={dimension}
                place={place}
                habit={habit}
                chosen={false}
                onChoose={onChoose ? () => onChoose(dimension) : undefined}
              />
            ))}
          {held && (
            <DimensionMark
              dimension={held}
              place={place}
              habit={habit}
              chosen
              onChoose={onChoose ? () => onChoose(held) : undefined}
            />
          )}
          <Flags findings={findings} place={place} width={width} onFinding={onFinding} />
        </svg>
      )}
      {entry}
    </Box>
  );
}

/** Clashes where they are: a round sign with its words beside it. Signs that would cover each other stand in a row. */
function Flags({
  findings,
  place,
  width,
  onFinding,
}: {
  findings: NonNullable<DrawingViewProps['findings']>;
  place: Placing;
  width: number;
  onFinding?(finding: Finding): void;
}) {
  const taken: number[] = [];
  return findings.map(({ finding, headline }) => {
    if (!finding.at) return null;
    const x = place.x(finding.at.x);
    let y = place.y(finding.at.y);
    while (taken.some((other) => Math.abs(other - y) < 24)) y += 25;
    taken.push(y);
    const stop = finding.severity === 'stop';
    const toLeft = x > width - 220;
    return (
      // biome-ignore lint/a11y/useSemanticElements: a button inside an SVG drawing cannot be an HTML button
      <g
        key={`${finding.code}-${x}-${y}`}
        role="button"
        tabIndex={0}
        aria-label={headline}
        data-finding={finding.code}
        style={{ cursor: 'pointer' }}
        onClick={() => onFinding?.(finding)}
        onKeyDown={(event) => event.key === 'Enter' && onFinding?.(finding)}
      >
        <rect
          x={toLeft ? x - 16 - headline.length * 7 : x - 11}
          y={y - 11}
          width={headline.length * 7 + 27}
          height={22}
          rx={11}
          fill={ink('card')}
          stroke={ink(stop ? 'brick' : 'ochre')}
        />
        <circle cx={x} cy={y} r={9} fill={ink(stop ? 'brick' : 'ochre')} />
        <text x={x} y={y} textAnchor="middle" dominantBaseline="central" fontSize={13} fontWeight={600} fill="#22303A">
          !
        </text>
        <text
          x={toLeft ? x - 14 : x + 13}
          y={y}
          textAnchor={toLeft ? 'end' : 'start'}
          dominantBaseline="central"
          fontSize={13}
          fontWeight={600}
          fill={ink(stop ? 'brickText' : 'ochreText')}
        >
          {headline}
        </text>
      </g>
    );
  });
}
