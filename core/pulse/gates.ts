/** Which wires may be pulsed in which gas: hard gates with the reason and the way out, and warnings. Rules of practice (argon-rich gas only). */
import { fillerOf, gasOf, isInert, type FillerCode, type FillerFamily } from '../consumables/index.ts';
import type { Issue, Warning } from '../outcome/index.ts';

export const pulseGateLimits = { activePct: 20, heliumPct: 75, stainlessCo2Pct: 3 } as const;

/** Gases that pulse well, by family, for the way out. */
const argonRich: Record<FillerFamily, string> = {
  steel: 'M21-ArC-18 or M20-ArC-8',
  stainless: 'M12-ArC-2 or M13-ArO-2',
  aluminium: 'I1',
  'copper-silicon': 'I1 or M12-ArC-2',
};

/** Refusals that hold for any transfer mode. */
export function gasIssues(fillerCode: FillerCode, gasCode: string): Issue[] {
  const filler = fillerOf(fillerCode);
  const gas = gasOf(gasCode);
  if (filler.shielding === 'gas' && gas.code === 'none') {
    return [
      {
        path: 'gas',
        code: 'gas-missing',
        message: `${filler.name} needs a shielding gas; without one the seam is porous.`,
        got: gas.code,
        hint: filler.family === 'aluminium' ? 'Use I1 (argon).' : 'Use for instance M21-ArC-18.',
      },
    ];
  }
  if (filler.family === 'aluminium' && !isInert(gas)) {
    return [
      {
        path: 'gas',
        code: 'gas-active-on-aluminium',
        message: `${gas.name} oxidises aluminium: no CO₂ or oxygen on it, at any setting.`,
        limit: 0,
        got: gas.co2Pct + gas.o2Pct,
        hint: 'Use I1 (argon) or an argon-helium mix such as I3-ArHe-30.',
      },
    ];
  }
  return [];
}

/** Why this wire in this gas cannot be pulsed; empty when it can. */
export function pulseGateIssues(fillerCode: FillerCode, gasCode: string): Issue[] {
  const filler = fillerOf(fillerCode);
  const gas = gasOf(gasCode);
  const general = gasIssues(fillerCode, gasCode);
  if (general.length > 0) return general;
  if (filler.construction === 'cored') {
    return [
      {
        path: 'filler',
        code: 'not-modelled',
        message: `Pulse on ${filler.name.toLowerCase()} is not modelled here.`,
        got: filler.code,
        hint: 'Use the solid wire for pulse, or constant voltage with the cored one.',
      },
    ];
  }
  const active = gas.co2Pct + gas.o2Pct;
  if (active > pulseGateLimits.activePct) {
    return [
      {
        path: 'gas',
        code: 'gas-too-active-for-pulse',
        message: `Pulse needs argon-rich gas: ${gas.name} is ${active} % active (CO₂ and oxygen), the limit is ${pulseGateLimits.activePct} %.`,
        limit: pulseGateLimits.activePct,
        got: active,
        hint: `Change to ${argonRich[filler.family]}, or weld this gas in dip transfer.`,
      },
    ];
  }
  if (gas.heliumPct > pulseGateLimits.heliumPct) {
    return [
      {
        path: 'gas',
        code: 'gas-too-much-helium-for-pulse',
        message: `Pulse needs argon for its drop: ${gas.name}, the limit is ${pulseGateLimits.heliumPct} % helium.`,
        limit: pulseGateLimits.heliumPct,
        got: gas.heliumPct,
        hint: 'Use I1 or I3-ArHe-30.',
      },
    ];
  }
  return [];
}

/** Why this gas carries no spray: it needs argon as pulse does. Cored wires bring their own arc and are let through. */
export function sprayGasIssues(fillerCode: FillerCode, gasCode: string): Issue[] {
  const filler = fillerOf(fillerCode);
  const gas = gasOf(gasCode);
  const active = gas.co2Pct + gas.o2Pct;
  if (filler.construction === 'cored' || active <= pulseGateLimits.activePct) return [];
  return [
    {
      path: 'gas',
      code: 'gas-too-active-for-spray',
      message: `Spray needs argon-rich gas: ${gas.name} is ${active} % active (CO₂ and oxygen), the limit is ${pulseGateLimits.activePct} %.`,
      limit: pulseGateLimits.activePct,
      got: active,
      hint: `Change to ${argonRich[filler.family]}, or weld this gas in dip transfer.`,
    },
  ];
}

/** What to know about this wire in this gas when it is allowed. */
export function gasWarnings(fillerCode: FillerCode, gasCode: string): Warning[] {
  const filler = fillerOf(fillerCode);
  const gas = gasOf(gasCode);
  if (filler.family === 'stainless' && gas.co2Pct > pulseGateLimits.stainlessCo2Pct) {
    return [
      {
        code: 'carbon-pick-up',
        level: 'caution',
        message: `${gas.co2Pct} % CO₂ on stainless carries carbon into the seam and dulls it; above ${pulseGateLimits.stainlessCo2Pct} % corrosion resistance suffers.`,
      },
    ];
  }
  if (filler.family === 'steel' && gas.argonPct === 100) {
    return [
      {
        code: 'pure-argon-on-steel',
        level: 'caution',
        message: 'Pure argon on steel wets poorly and the arc wanders; a few percent CO₂ settle it.',
      },
    ];
  }
  return [];
}
