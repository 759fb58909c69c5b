import type { Habit } from '@north-pane/core/quantity';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface View {
  /** The unit habit that figures are read in; none chosen yet means the job's own. */
  habit: Habit | undefined;
  /** By day, by night, or as the machine is set. */
  light: 'day' | 'night' | 'machine';
  /** Whether single keys do things. */
  singleKeys: boolean;
  /** Sections that were folded or unfolded by hand, by their titles. */
  folded: Readonly<Record<string, boolean>>;
  /** The page is being laid out on paper: everything is unfolded, by day. */
  printing: boolean;
  setHabit(habit: Habit): void;
  /** The other habit than the one that is read now: the chosen one, or `own`. */
  flipHabit(own: Habit): void;
  setLight(light: View['light']): void;
  setSingleKeys(on: boolean): void;
  setFolded(title: string, folded: boolean): void;
}

/** How this person looks at things: kept in the browser, in no job. */
export const useView = create<View>()(
  persist(
    (set) => ({
      habit: undefined,
      light: 'machine',
      singleKeys: true,
      folded: {},
      printing: false,
      setHabit: (habit) => set({ habit }),
      flipHabit: (own) => set(({ habit }) => ({ habit: (habit ?? own) === 'metric' ? 'imperial' : 'metric' })),
      setLight: (light) => set({ light }),
      setSingleKeys: (singleKeys) => set({ singleKeys }),
      setFolded: (title, folded) => set((view) => ({ folded: { ...view.folded, [title]: folded } })),
    }),
    {
      name: 'north-pane-view',
      partialize: ({ habit, light, singleKeys, folded }) => ({ habit, light, singleKeys, folded }),
    },
  ),
);

/** Follows the choice and the machine: puts the class that the theme's night colours hang on. */
export function followLight(): void {
  const machine = window.matchMedia('(prefers-color-scheme: dark)');
  const apply = () => {
    const { light, printing } = useView.getState();
    const night = !printing && (light === 'night' || (light === 'machine' && machine.matches));
    document.documentElement.classList.toggle('dark', night);
    document.documentElement.style.colorScheme = night ? 'dark' : 'light';
  };
  apply();
  useView.subscribe(apply);
  machine.addEventListener('change', apply);
  const paper = (printing: boolean) => () => useView.setState({ printing });
  window.addEventListener('beforeprint', paper(true));
  window.addEventListener('afterprint', paper(false));
}
