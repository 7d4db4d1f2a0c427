/** Wear of every gun: what was welded since a part was new, against what such a part lasted in this shop. */
import { minutesOf } from '@fox-tempo/core/base/units';
import type { MachineResource, WearRow } from '@fox-tempo/contract';
import { fillerOf } from '@fox-tempo/core/metal/consumables';
import { arcOf } from '@fox-tempo/core/machine/dials';
import {
  dueOf,
  lifeOf,
  usualLife,
  wearOf,
  wearParts,
  type PartEnd,
  type WearPart,
  type WeldDone,
} from '@fox-tempo/core/machine/wear';
import type { Executor } from '../../db/connection.ts';
import { listMachines } from '../machines/index.ts';
import { findRevision, useOf } from '../revisions/index.ts';
import { listReplacements, weldSums, type Replacement, type WeldSum } from './repo.ts';

const mostMachines = { limit: 200, after: undefined };

interface Gun {
  readonly id: string;
  readonly file: MachineResource['file'];
  readonly feeder: MachineResource['file']['feeders'][number];
  readonly onGun: readonly Replacement[];
  readonly welds: readonly { readonly spans: WeldSum['spans']; readonly done: WeldDone }[];
}

/** `until`: as it stood at that moment; left out: now. */
export async function readWear(db: Executor, until?: string): Promise<WearRow[]> {
  const machines = (await listMachines(db, mostMachines)).items.filter(({ retired }) => !retired);
  const replacements = await listReplacements(db, until);
  const done = new Map<string, WeldDone | null>();
  const guns: Gun[] = [];
  for (const { id, file } of machines) {
    const own = replacements.filter(({ machineId }) => machineId === id);
    for (const [at, feeder] of file.feeders.entries()) {
      const onGun = own.filter(({ feederId }) => feederId === feeder.id);
      const sums = (await weldSums(db, id, momentsOf(onGun), until)).filter(
        // What was recorded before feeders were named counts for the first.
        ({ feederId }) => feederId === feeder.id || (at === 0 && feederId === null),
      );
      const welds: Gun['welds'][number][] = [];
      for (const sum of sums) {
        const one = await doneOnce(db, sum, done);
        if (one) welds.push({ spans: sum.spans, done: times(one, sum) });
      }
      guns.push({ id, file, feeder, onGun, welds });
    }
  }
  const usedIn = (gun: Gun, part: WearPart, span: number) =>
    gun.welds.filter(({ spans }) => spans[part] === span).reduce((total, weld) => total + wearOf(part, weld.done), 0);
  return guns.flatMap((gun) =>
    wearParts.map((part): WearRow => {
      // A part's life is the shop's, whichever gun it was on.
      const ends = guns.flatMap((other) =>
        other.onGun
          .filter((one) => one.part === part)
          .map((one, at): PartEnd => ({ used: usedIn(other, part, at), isWorn: one.isWorn })),
      );
      const own = gun.onGun.filter((one) => one.part === part);
      const last = own.at(-1);
      const used = usedIn(gun, part, own.length);
      const life = lifeOf(usualLife[part], ends);
      return {
        machineId: gun.id,
        machineName: gun.file.name,
        feederId: gun.feeder.id,
        feederLabel: gun.feeder.label,
        part,
        used,
        life,
        due: dueOf(used, life),
        since: last?.at ?? null,
        by: last?.by ?? null,
      };
    }),
  );
}

function momentsOf(replacements: readonly Replacement[]): Record<WearPart, string[]> {
  return Object.fromEntries(
    wearParts.map((part) => [part, replacements.filter((one) => one.part === part).map(({ at }) => at)]),
  ) as Record<WearPart, string[]>;
}

/** One weld of a revision as it was planned. */
async function doneOnce(
  db: Executor,
  { seamId, revision: number }: WeldSum,
  kept: Map<string, WeldDone | null>,
): Promise<WeldDone | null> {
  const key = `${seamId} ${number}`;
  const before = kept.get(key);
  if (before !== undefined) return before;
  const revision = await findRevision(db, seamId, number);
  const use = revision && useOf(revision);
  const { program } = revision ?? {};
  const made =
    use && program
      ? {
          arcMinutes: minutesOf(use.arcSeconds),
          currentA: arcOf(program, program.ctwdMm, program.trimMm).currentAt(program.wireFeedMPerMin) ?? 0,
          wireKg: use.wireKg,
          isAluminium: fillerOf(program.filler).family === 'aluminium',
        }
      : null;
  kept.set(key, made);
  return made;
}

/** All of a sum: what was timed by its seconds, the rest as planned. */
function times(one: WeldDone, { welds, timed, seconds }: WeldSum): WeldDone {
  const share = welds - timed + (one.arcMinutes > 0 ? minutesOf(seconds) / one.arcMinutes : 0);
  return { ...one, arcMinutes: one.arcMinutes * share, wireKg: one.wireKg * share };
}
