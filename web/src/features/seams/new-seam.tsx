/** Starts a seam: its part, name, metal, joint and thickness, and what is still missing of them; the rest is described on its sheet. */
import { Box } from '@chakra-ui/react';
import type { Part, SeamSpec } from '@fox-tempo/contract';
import { materialOf, materials, type MaterialGroup } from '@fox-tempo/core/consumables';
import { ranges } from '@fox-tempo/core/outcome';
import { jointRules, type Joint, type Position } from '@fox-tempo/core/plan';
import { useState, type SubmitEvent } from 'react';
import { useNavigate } from 'react-router';
import { api, ProblemError } from '../../data/api.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { forgetTexts, useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';

/** Where a joint of its kind is usually laid; the sheet asks again. */
const usualPosition: Record<Joint, Position> = { tee: 'PB', lap: 'PB', butt: 'PA', 'corner-outside': 'PA', edge: 'PA' };

/** What has to be said before there is anything to compute. */
interface Answers {
  readonly name: string;
  readonly partId: string;
  readonly metal: MaterialGroup | '';
  readonly joint: Joint | '';
  readonly firstMm: number | null;
  readonly secondMm: number | null;
  readonly lengthMm: number | null;
}

const unknownLengthMm = 100;
const keep = 'new-seam';

/** The description that the answers make, or what is still missing of it, in the words of its fields. */
function described({
  metal,
  joint,
  firstMm,
  secondMm,
  lengthMm,
}: Answers): { readonly spec: Omit<SeamSpec, 'name'> } | { readonly missing: readonly string[] } {
  if (metal === '' || joint === '' || firstMm === null) {
    return {
      missing: [
        ...(metal === '' ? ['the metal'] : []),
        ...(joint === '' ? ['the joint'] : []),
        ...(firstMm === null ? ['the first part’s thickness'] : []),
      ],
    };
  }
  return {
    spec: {
      grade: '',
      materialGroup: metal,
      thicknessesMm: [firstMm, secondMm ?? firstMm],
      joint,
      position: usualPosition[joint],
      gapMm: 0,
      legMm: null,
      lengthMm: lengthMm ?? unknownLengthMm,
      travelMmPerMin: null,
    },
  };
}

export function NewSeam({ parts, onClose }: { readonly parts: readonly Part[]; readonly onClose: () => void }) {
  const navigate = useNavigate();
  const [answers, setAnswers, forget] = useKeptForm<Answers>(keep, {
    name: '',
    partId: parts[0]?.id ?? '',
    metal: '',
    joint: '',
    firstMm: null,
    secondMm: null,
    lengthMm: null,
  });
  const answer = described(answers);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const set = (change: Partial<Answers>) => setAnswers({ ...answers, ...change });
  const done = () => {
    forget();
    forgetTexts(keep);
  };

  async function create(event: SubmitEvent) {
    event.preventDefault();
    const name = answers.name.trim();
    if (name === '') {
      setProblem('A seam needs a name.');
      return;
    }
    if ('missing' in answer) {
      setProblem(`Still missing: ${answer.missing.join(', ')}.`);
      return;
    }
    setBusy(true);
    try {
      const seam = await api.createSeam({ partId: answers.partId, spec: { ...answer.spec, name } });
      done();
      await navigate(`/seams/${seam.id}`);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setProblem(`${error.problem.title}. ${error.message}`);
      setBusy(false);
    }
  }

  if (parts.length === 0) {
    return (
      <Notice level="note" word="First a part.">
        A seam belongs to a part. Add one under Shop, Parts; an office, lead hand or owner may.
      </Notice>
    );
  }
  const thickness = {
    of: 'thickness',
    range: [ranges.thicknessMm.min, ranges.thicknessMm.max],
    metal: answers.metal === '' ? undefined : materialOf(answers.metal).gaugeTable,
    optional: true,
    step: 0.5,
  } as const;
  return (
    <Panel title="A new seam">
      <form onSubmit={(event) => void create(event)}>
        <Box
          display="grid"
          gridTemplateColumns={{ base: '1fr 1fr', xl: 'repeat(4, minmax(0, 1fr))' }}
          gap="3"
          alignItems="start"
        >
          <ChoiceField
            label="On which part"
            value={answers.partId}
            choices={parts.filter((part) => !part.retired).map((part) => ({ value: part.id, label: part.name }))}
            onChange={(partId) => set({ partId })}
          />
          <TextField label="What it is called" value={answers.name} onChange={(name) => set({ name })} />
          <ChoiceField
            label="Metal"
            value={answers.metal}
            choices={[
              { value: '', label: 'choose' },
              ...materials.map((one) => ({ value: one.group, label: one.name })),
            ]}
            onChange={(metal: Answers['metal']) => set({ metal })}
          />
          <ChoiceField
            label="Joint"
            value={answers.joint}
            choices={[
              { value: '', label: 'choose' },
              ...jointRules.map((one) => ({ value: one.joint, label: one.name })),
            ]}
            onChange={(joint: Answers['joint']) => set({ joint })}
          />
          <ValueField
            {...thickness}
            label="First part"
            keep={`${keep}/first`}
            value={answers.firstMm}
            onValue={(firstMm) => set({ firstMm })}
          />
          <ValueField
            {...thickness}
            label="Second part"
            keep={`${keep}/second`}
            value={answers.secondMm}
            placeholder="as the first"
            onValue={(secondMm) => set({ secondMm })}
          />
          <ValueField
            label="Seam length"
            of="length"
            range={[ranges.lengthMm.min, ranges.lengthMm.max]}
            keep={`${keep}/length`}
            value={answers.lengthMm}
            optional
            step={10}
            placeholder="if known"
            onValue={(lengthMm) => set({ lengthMm })}
          />
          <Box display="flex" gap="2" pt="18px">
            <Action kind="main" type="submit" disabled={busy}>
              Go to its sheet
            </Action>
            <Action
              onClick={() => {
                done();
                onClose();
              }}
            >
              Leave it
            </Action>
          </Box>
        </Box>
        <Box textStyle="label" color="quiet" mt="2" aria-live="polite">
          {'missing' in answer
            ? `Still missing: ${answer.missing.join(', ')}. Metal and thickness give a first figure; the joint says where it goes.`
            : 'Enough for a first figure. Position, gap, size and pace are asked on the sheet; what is left open there follows practice.'}
        </Box>
        {problem !== null && (
          <Box mt="3">
            <Notice level="refusal" word="Not made." urgent>
              {problem}
            </Notice>
          </Box>
        )}
      </form>
    </Panel>
  );
}
