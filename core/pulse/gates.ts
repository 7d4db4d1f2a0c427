/** Which wires may be pulsed in which gas: hard gates with the reason and the way out, and warnings. Rules of practice (argon-rich gas only). */
import { say, amount, inSentence, type Phrase } from '../said/index.ts';
import { fillerOf, gasOf, isInert, type FillerCode, type FillerFamily } from '../consumables/index.ts';
import type { Issue, Warning } from '../outcome/index.ts';

export const pulseGateLimits = { activePct: 20, heliumPct: 75, stainlessCo2Pct: 3 } as const;

/** Gases that pulse well, by family, for the way out. */
const argonRich: Record<FillerFamily, Phrase> = {
  steel: say('pulse.m21-arc-18-or-m20'),
  stainless: say('pulse.m12-arc-2-or-m13'),
  aluminium: 'I1',
  'copper-silicon': say('pulse.i1-or-m12-arc-2'),
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
        message: say('pulse.needs-a-shielding-gas-without', { filler: filler.name }),
        got: gas.code,
        hint: filler.family === 'aluminium' ? say('pulse.use-i1-argon') : say('pulse.use-for-instance-m21-arc'),
      },
    ];
  }
  if (filler.family === 'aluminium' && !isInert(gas)) {
    return [
      {
        path: 'gas',
        code: 'gas-active-on-aluminium',
        message: say('pulse.oxidises-aluminium-no-co2-or', { gas: gas.name }),
        limit: 0,
        got: gas.co2Pct + gas.o2Pct,
        hint: say('pulse.use-i1-argon-or-an'),
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
        message: say('pulse.pulse-on-is-not-modelled', { name: inSentence(filler.name) }),
        got: filler.code,
        hint: say('pulse.use-the-solid-wire-for'),
      },
    ];
  }
  const active = gas.co2Pct + gas.o2Pct;
  if (active > pulseGateLimits.activePct) {
    return [
      {
        path: 'gas',
        code: 'gas-too-active-for-pulse',
        message: say('pulse.pulse-needs-argon-rich-gas', {
          gas: gas.name,
          active: amount('percent', active),
          active2: amount('percent', pulseGateLimits.activePct),
        }),
        limit: pulseGateLimits.activePct,
        got: active,
        hint: say('pulse.change-to-or-weld-this', { family: argonRich[filler.family] }),
      },
    ];
  }
  if (gas.heliumPct > pulseGateLimits.heliumPct) {
    return [
      {
        path: 'gas',
        code: 'gas-too-much-helium-for-pulse',
        message: say('pulse.pulse-needs-argon-for-its', {
          gas: gas.name,
          helium: amount('percent', pulseGateLimits.heliumPct),
        }),
        limit: pulseGateLimits.heliumPct,
        got: gas.heliumPct,
        hint: say('pulse.use-i1-or-i3-arhe'),
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
      message: say('pulse.spray-needs-argon-rich-gas', {
        gas: gas.name,
        active: amount('percent', active),
        active2: amount('percent', pulseGateLimits.activePct),
      }),
      limit: pulseGateLimits.activePct,
      got: active,
      hint: say('pulse.change-to-or-weld-this', { family: argonRich[filler.family] }),
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
        message: say('pulse.co2-on-stainless-carries-carbon', {
          co2: amount('percent', gas.co2Pct),
          stainlessCo2: amount('percent', pulseGateLimits.stainlessCo2Pct),
        }),
      },
    ];
  }
  if (filler.family === 'steel' && gas.argonPct === 100) {
    return [
      {
        code: 'pure-argon-on-steel',
        level: 'caution',
        message: say('pulse.pure-argon-on-steel-wets'),
      },
    ];
  }
  return [];
}
