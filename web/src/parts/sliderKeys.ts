import type { KeyboardEvent } from 'react';

interface Slider {
  value: number;
  low: number;
  high: number;
  /** Beyond one end it comes in at the other, as a direction does. */
  round?: boolean;
  onValue(value: number): void;
}

const steps: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  '.': 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  ',': -1,
  PageUp: 10,
  '>': 10,
  PageDown: -10,
  '<': -10,
};

/** What makes a handle a slider for the keyboard: arrows and `,` `.` by one, with Shift or by page by ten, Home and End. */
export function sliderKeys(label: string, words: string, slider: Slider) {
  const { value, low, high, round, onValue } = slider;
  const go = (wanted: number) => {
    const span = high - low;
    onValue(round ? low + ((((wanted - low) % span) + span) % span) : Math.min(high, Math.max(low, wanted)));
  };
  return {
    role: 'slider',
    tabIndex: 0,
    'aria-label': label,
    'aria-valuenow': Math.round(value),
    'aria-valuemin': low,
    'aria-valuemax': high,
    'aria-valuetext': words,
    'data-takes': 'arrows, comma and full stop: by one | with Shift, page up and down: by ten | Home, End: to the ends',
    onKeyDown: (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      const step = steps[event.key];
      if (step !== undefined) go(Math.round(value) + (event.shiftKey && Math.abs(step) === 1 ? 10 * step : step));
      else if (event.key === 'Home') go(low);
      else if (event.key === 'End') go(high);
      else return;
      event.preventDefault();
      event.stopPropagation();
    },
  } as const;
}
