/** Starts a seam: which part it is on and what it is called; the rest is described on its sheet. */
import { Box } from '@chakra-ui/react';
import type { Part, SeamSpec } from '@fox-tempo/contract';
import { useState, type SubmitEvent } from 'react';
import { useNavigate } from 'react-router';
import {
  jointRules,
  materialOf,
  materials,
  parseQuantity,
  rangeIssue,
  type Joint,
  type MaterialGroup,
  type Position,
  type RangedField,
  type UnitSystem,
} from '@fox-tempo/core';
import { useSettings } from '../../lib/settings.ts';
import { api, ProblemError } from '../../lib/api.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';

/** Where a joint of its kind is usually laid; the sheet asks again. */
const usualPosition: Record<Joint, Position> = { tee: 'PB', lap: 'PB', butt: 'PA', 'corner-outside': 'PA', edge: 'PA' };

/** What has to be said before there is anything to compute. */
interface Answers {
  readonly metal: MaterialGroup | '';
  readonly joint: Joint | '';
  readonly first: string;
  readonly second: string;
  readonly length: string;
}
const unanswered: Answers = { metal: '', joint: '', first: '', second: '', length: '' };

const unknownLengthMm = 100;

/** The description that the answers make, or what is still missing of it, in the words of its fields. */
function described(
  { metal, joint, first, second, length }: Answers,
  units: UnitSystem,
): { readonly spec: Omit<SeamSpec, 'name'> } | { readonly missing: readonly string[] } {
  const missing: string[] = [];
  const read = (text: string, of: 'thickness' | 'length', range: RangedField, words: string): number => {
    const gauge = metal === '' ? {} : { metal: materialOf(metal).gaugeTable };
    const parsed = parseQuantity(text, of, { system: units, name: words, path: words, ...gauge });
    const issue = parsed.ok ? rangeIssue(range, parsed.value, words) : parsed.issues[0];
    if (issue) missing.push(text.trim() === '' ? words : issue.message);
    return parsed.ok ? parsed.value : 0;
  };
  if (metal === '') missing.push('the metal');
  if (joint === '') missing.push('the joint');
  const t1 = read(first, 'thickness', 'thicknessMm', 'the first part’s thickness');
  const t2 = second.trim() === '' ? t1 : read(second, 'thickness', 'thicknessMm', 'the second part’s thickness');
  const lengthMm = length.trim() === '' ? unknownLengthMm : read(length, 'length', 'lengthMm', 'the length');
  if (metal === '' || joint === '' || missing.length > 0) return { missing };
  return {
    spec: {
      grade: '',
      materialGroup: metal,
      thicknessesMm: [t1, t2],
      joint,
      position: usualPosition[joint],
      gapMm: 0,
      legMm: null,
      lengthMm,
      travelMmPerMin: null,
    },
  };
}

export function NewSeam({ parts, onClose }: { readonly parts: readonly Part[]; readonly onClose: () => void }) {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [partId, setPartId] = useState(parts[0]?.id ?? '');
  const units = useSettings((state) => state.units);
  const [answers, setAnswers] = useState<Answers>(unanswered);
  const answer = described(answers, units);
  const missing = 'missing' in answer ? answer.missing : [];
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  async function create(event: SubmitEvent) {
    event.preventDefault();
    if (name.trim() === '') {
      setProblem('A seam needs a name.');
      return;
    }
    if ('missing' in answer) {
      setProblem(`Still missing: ${answer.missing.join(', ')}.`);
      return;
    }
    setBusy(true);
    try {
      const seam = await api.createSeam({ partId, spec: { ...answer.spec, name: name.trim() } });
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
  return (
    <Panel title="A new seam">
      <form onSubmit={(event) => void create(event)}>
        <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr auto' }} gap="3" alignItems="start">
          <ChoiceField
            label="On which part"
            value={partId}
            choices={parts.filter((part) => !part.retired).map((part) => ({ value: part.id, label: part.name }))}
            onChange={setPartId}
          />
          <TextField label="What it is called" value={name} onChange={setName} />
          <Box />
          <ChoiceField
            label="Metal"
            value={answers.metal}
            choices={[
              { value: '', label: 'choose' },
              ...materials.map((one) => ({ value: one.group, label: one.name })),
            ]}
            onChange={(metal: Answers['metal']) => setAnswers({ ...answers, metal })}
          />
          <ChoiceField
            label="Joint"
            value={answers.joint}
            choices={[
              { value: '', label: 'choose' },
              ...jointRules.map((one) => ({ value: one.joint, label: one.name })),
            ]}
            onChange={(joint: Answers['joint']) => setAnswers({ ...answers, joint })}
          />
          <Box />
          <Box display="grid" gap="3" gridTemplateColumns="1fr 1fr">
            <TextField
              label="First part’s thickness"
              value={answers.first}
              onChange={(first) => setAnswers({ ...answers, first })}
            />
            <TextField
              label="Second, if another"
              value={answers.second}
              onChange={(second) => setAnswers({ ...answers, second })}
            />
          </Box>
          <TextField
            label="Length, if known"
            value={answers.length}
            onChange={(length) => setAnswers({ ...answers, length })}
          />
          <Box display="flex" gap="2" pt="18px">
            <Action kind="main" type="submit" disabled={busy}>
              Go to its sheet
            </Action>
            <Action onClick={onClose}>Leave it</Action>
          </Box>
        </Box>
        <Box textStyle="label" color="quiet" mt="2" aria-live="polite">
          {missing.length > 0
            ? `Still missing: ${missing.join(', ')}. Metal and thickness give a first figure; the joint says where it goes.`
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
