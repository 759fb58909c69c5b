import { Monitor, Moon, Sun } from 'lucide-react';
import { SlateButton } from '../parts/SlateButton';
import { useView } from '../state/view';

const next = { machine: 'day', day: 'night', night: 'machine' } as const;
const faces = { machine: Monitor, day: Sun, night: Moon } as const;
const words = { machine: 'as the machine is set', day: 'by day', night: 'by night' } as const;

/** Day, night, or as the machine is set. */
export function LightSwitch() {
  const light = useView((view) => view.light);
  const setLight = useView((view) => view.setLight);
  const Face = faces[light];
  return (
    <SlateButton
      type="button"
      aria-label={`Light: ${words[light]}`}
      title={`Light: ${words[light]}`}
      onClick={() => setLight(next[light])}
    >
      <Face size={16} aria-hidden />
    </SlateButton>
  );
}
