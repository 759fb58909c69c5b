import type { CSSProperties } from 'react';

/** The whole card or chip is the radio button: it lies over it, unseen, so that keys, readers and forms know it for what it is. */
const over: CSSProperties = {
  position: 'absolute',
  inset: 0,
  width: '100%',
  height: '100%',
  margin: 0,
  opacity: 0,
  cursor: 'pointer',
};

/** One of a group by name: arrow keys go from one to the next. */
export function Radio(props: {
  group: string;
  label: string;
  checked: boolean;
  describedBy?: string | undefined;
  onChoose(): void;
}) {
  const { group, label, checked, describedBy, onChoose } = props;
  return (
    <input
      type="radio"
      name={group}
      aria-label={label}
      aria-describedby={describedBy}
      checked={checked}
      onChange={onChoose}
      style={over}
    />
  );
}

/** The ring of the card whose radio button has the focus. */
export const radioFocus = { '&:has(:focus-visible)': { outline: '3px solid {colors.focus}', outlineOffset: '2px' } };
