/** Which wires may be pulsed in which gas: hard gates with the reason and the way out, and warnings. Rules of practice (argon-rich gas only). */
import { message, amount, inSentence, type Phrase } from '../../base/messages/index.ts';
import { fillerOf, gasOf, isInert, type FillerCode, type FillerFamily } from '../../metal/consumables/index.ts';
import type { Issue, Warning } from '../../base/outcome/index.ts';

export const pulseGateLimits = { activePct: 20, heliumPct: 75, stainlessCo2Pct: 3 } as const;

/** Gases that pulse well, by family, for the way out. */
const argonRich: Record<FillerFamily, Phrase> = {
  steel: message('pulse.gases.steel'),
  stainless: message('pulse.gases.stainless'),
  aluminium: 'I1',
  'copper-silicon': message('pulse.gases.ferritic'),
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
        message: message('pulse.error.no-gas', { filler: filler.name }),
        got: gas.code,
        hint: filler.family === 'aluminium' ? message('pulse.use-i1-argon') : message('pulse.hint.m21'),
      },
    ];
  }
  if (filler.family === 'aluminium' && !isInert(gas)) {
    return [
      {
        path: 'gas',
        code: 'gas-active-on-aluminium',
        message: message('pulse.error.active-on-aluminium', { gas: gas.name }),
        limit: 0,
        got: gas.co2Pct + gas.o2Pct,
        hint: message('pulse.hint.argon-or-helium-mix'),
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
        message: message('pulse.error.cored-pulse', { name: inSentence(filler.name) }),
        got: filler.code,
        hint: message('pulse.hint.solid-wire'),
      },
    ];
  }
  const active = gas.co2Pct + gas.o2Pct;
  if (active > pulseGateLimits.activePct) {
    return [
      {
        path: 'gas',
        code: 'gas-too-active-for-pulse',
        message: message('pulse.error.too-active', {
          gas: gas.name,
          active: amount('percent', active),
          limit: amount('percent', pulseGateLimits.activePct),
        }),
        limit: pulseGateLimits.activePct,
        got: active,
        hint: message('pulse.hint.gas-or-dip', { family: argonRich[filler.family] }),
      },
    ];
  }
  if (gas.heliumPct > pulseGateLimits.heliumPct) {
    return [
      {
        path: 'gas',
        code: 'gas-too-much-helium-for-pulse',
        message: message('pulse.error.too-much-helium', {
          gas: gas.name,
          helium: amount('percent', pulseGateLimits.heliumPct),
        }),
        limit: pulseGateLimits.heliumPct,
        got: gas.heliumPct,
        hint: message('pulse.hint.i1-or-i3'),
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
      message: message('pulse.error.spray-too-active', {
        gas: gas.name,
        active: amount('percent', active),
        limit: amount('percent', pulseGateLimits.activePct),
      }),
      limit: pulseGateLimits.activePct,
      got: active,
      hint: message('pulse.hint.gas-or-dip', { family: argonRich[filler.family] }),
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
        message: message('pulse.caution.co2-on-stainless', {
          share: amount('percent', gas.co2Pct),
          limit: amount('percent', pulseGateLimits.stainlessCo2Pct),
        }),
      },
    ];
  }
  if (filler.family === 'steel' && gas.argonPct === 100) {
    return [
      {
        code: 'pure-argon-on-steel',
        level: 'caution',
        message: message('pulse.caution.argon-on-steel'),
      },
    ];
  }
  return [];
}
