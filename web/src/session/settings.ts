/** What this person at this screen prefers: light, units, name, machine. Kept on the device. */
import type { UnitSystem } from '@fox-tempo/core/base/units';
import { languageFor, type Language } from '@fox-tempo/words';
import { useStore } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { createStore } from 'zustand/vanilla';
import { bareStorage } from '../lib/device.ts';

export interface Settings {
  readonly theme: 'day' | 'night';
  readonly units: UnitSystem;
  readonly language: Language;
  /** The hand that holds the gun. */
  readonly hand: 'right' | 'left';
  /** Who last signed in here: that name is offered first. */
  readonly personId: string | null;
  /** Whose dial card is shown; null until one was chosen here. */
  readonly machineId: string | null;
  /** The machine last chosen for a seam, by seam. */
  readonly machineOfSeam: Readonly<Record<string, string>>;
  choosePerson: (id: string) => void;
  chooseMachine: (id: string, seamId?: string) => void;
}

const prefersNight = () => document.documentElement.classList.contains('dark');

/** The device's own units while a page is shown in those of another reader. */
let own: UnitSystem | undefined;

export const settings = createStore<Settings>()(
  persist(
    (set) => ({
      theme: prefersNight() ? 'night' : 'day',
      units: 'metric',
      language: languageFor(globalThis.navigator.languages),
      hand: 'right',
      personId: null,
      machineId: null,
      machineOfSeam: {},
      choosePerson: (personId) => set({ personId }),
      chooseMachine: (machineId, seamId) =>
        set(({ machineOfSeam }) => ({
          machineId,
          machineOfSeam: seamId === undefined ? machineOfSeam : { ...machineOfSeam, [seamId]: machineId },
        })),
    }),
    {
      name: 'settings',
      storage: createJSONStorage(() => bareStorage),
      partialize: (state) => ({ ...state, units: own ?? state.units }),
    },
  ),
);

/** Units of another reader, for this page only. */
export function borrowUnits(units: UnitSystem): void {
  own = settings.getState().units;
  settings.setState({ units });
}

function applyTheme(theme: Settings['theme']): void {
  document.documentElement.className = theme === 'night' ? 'dark' : 'light';
}
applyTheme(settings.getState().theme);
settings.subscribe((state) => applyTheme(state.theme));

export function useSettings<T>(select: (state: Settings) => T): T {
  return useStore(settings, select);
}
