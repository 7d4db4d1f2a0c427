/** The questions that every view is asked: each seam of the demo shop on each machine under each of the thickness rules, saved as the server saves it. */
import {
  readMachineFile,
  type MachineResource,
  type ProgramChoice,
  type Revision,
  type SeamResource,
  type SeamSpec,
} from '@fox-tempo/contract';
import { partTakes } from '@fox-tempo/core/day/consumption';
import { thicknessRules } from '@fox-tempo/core/setting/plan';
import { alder, hazel, medlar, rowan, scenarios, sheetOf, type Scenario } from '@fox-tempo/core/scenarios';
import { atMachine, completeSite, settingOf, type Setting, type Site } from '@fox-tempo/core/site';

export interface Case {
  readonly name: string;
  readonly seam: SeamResource;
  readonly revision: Revision;
  readonly machine: MachineResource;
  /** Of the revision, at that machine. */
  readonly site: Site;
  /** The one answer. */
  readonly truth: Setting;
}

const moment = '2026-01-05T08:00:00.000Z';
const machines = [rowan, hazel, alder, medlar].map((machine): MachineResource => {
  const read = readMachineFile({ format: 'fox-tempo/machine', version: 2, ...machine });
  if (!read.ok) throw new Error(`${machine.name} does not pass`);
  return {
    id: machine.name.toLowerCase(),
    version: 1,
    file: read.value,
    retired: false,
    standing: null,
    trouble: null,
    changedAt: moment,
    changedBy: 'Teo Varnholt',
  };
});

/** Seams of which the rules make the most: thin on thick; and prepared edges, whose passes differ. */
const extra: readonly Scenario[] = scenarios.slice(0, 1).map((one) => ({
  ...one,
  id: 'thin-on-thick',
  name: 'Thin on thick',
  grade: 'S235',
  input: { ...one.input, seam: { ...one.input.seam, thicknessesMm: [2, 8], legMm: undefined } },
}));

export function* agreeCases(): Generator<Case> {
  for (const scenario of [...extra, ...scenarios])
    for (const { rule: thicknessRule } of thicknessRules) {
      const saved = completeSite({ thicknessRule });
      const { spec, choice } = sheetOf(scenario);
      const made = settingOf(spec, choice, saved);
      if (!made.ok) continue;
      const revision = revisionOf(spec, choice, saved, made.value);
      const seam = seamOf(scenario, revision);
      for (const machine of machines) {
        const site = atMachine(saved, machine.file);
        const truth = settingOf(spec, choice, site);
        if (!truth.ok) throw new Error(`${scenario.id}: a machine changes whether a seam can be planned`);
        yield {
          name: `${scenario.id}, ${thicknessRule}, ${machine.file.name}`,
          seam,
          revision,
          machine,
          site,
          truth: truth.value,
        };
      }
    }
}

function revisionOf(spec: SeamSpec, choice: ProgramChoice, site: Site, { plan, program }: Setting): Revision {
  return {
    number: 1,
    spec,
    choice,
    site,
    program: { format: 'fox-tempo/program', version: 2, ...program },
    use: { ...partTakes(plan) },
    contentHash: null,
    createdAt: moment,
    createdBy: 'Teo Varnholt',
  };
}

function seamOf({ id, part }: Scenario, revision: Revision): SeamResource {
  return {
    id,
    partId: 'part',
    partName: part,
    version: 2,
    spec: revision.spec,
    choice: revision.choice,
    revision,
    lock: null,
    issued: [],
    limits: null,
    limitsWritten: null,
    windows: [],
    offsets: [],
    deleted: false,
    createdAt: moment,
    createdBy: 'Teo Varnholt',
    changedAt: moment,
    changedBy: 'Teo Varnholt',
  };
}
