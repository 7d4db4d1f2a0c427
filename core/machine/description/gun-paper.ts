/** What belongs to a gun and its feeder and stands on no dial: rolls by colour, tips, liner, pressure marks, fittings, hoses and cables. */
import type { FillerCode } from '../../metal/consumables/index.ts';

/** How the wire starts; a gun with a motor of its own may draw it back. */
export const ignitions = ['wire-touches', 'creep-then-touches', 'wire-draws-back'] as const;
export type Ignition = (typeof ignitions)[number];

/** Tips for aluminium are stamped with the wire (bored wide by their maker) or taken one size up. */
export const tipRules = ['as-stamped', 'one-size-up'] as const;
export type TipRule = (typeof tipRules)[number];

export interface GunPaper {
  /** Hose between the gas valve and the gun, m; 0 where the valve sits in the feeder. */
  readonly hoseAfterValveM?: number | undefined;
  /** Leads there and back together, m, and their copper, mm². */
  readonly cableM?: number | undefined;
  readonly cableMm2?: number | undefined;
  readonly ignitions?: readonly Ignition[] | undefined;
  readonly tipRule?: TipRule | undefined;
  readonly liner?:
    { readonly boreMm: number; readonly lengthM: number; /** Day it went in. */ readonly since: string } | undefined;
  readonly rolls?:
    readonly { readonly groove: 'V' | 'U' | 'knurled'; readonly mm: number; readonly colour: string }[] | undefined;
  readonly tension?:
    readonly { readonly filler: FillerCode; readonly diameterMm: number; readonly mark: string }[] | undefined;
  readonly fittings?:
    | readonly {
        readonly gas: string;
        readonly fitting: string;
        /** Day of the last leak test; left out: none. */
        readonly leakTestedOn?: string | undefined;
      }[]
    | undefined;
}

/** Copper at working warmth, mΩ mm²/m (20 °C: 17.2; plus 10 % at 45 °C). */
const copper = 19;

/** What the copper of the leads alone has, mΩ: clamps and joints come on top. Undefined where they were not noted. */
export function copperMOhm({ cableM, cableMm2 }: GunPaper): number | undefined {
  return cableM === undefined || cableMm2 === undefined || cableMm2 <= 0 ? undefined : (copper * cableM) / cableMm2;
}
