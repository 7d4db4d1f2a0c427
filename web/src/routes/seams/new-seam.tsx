/** Starts a seam: its part, name, metal, joint and thickness, and what is still missing of them; the rest is described on its sheet. */
import { t, format } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { Part, SeamSpec } from '@fox-tempo/contract';
import { materialOf, materials, type MaterialGroup } from '@fox-tempo/core/metal/consumables';
import { ranges } from '@fox-tempo/core/base/outcome';
import { jointRules, type Joint, type Position } from '@fox-tempo/core/setting/plan';
import { useState, type SubmitEvent } from 'react';
import { Link, useNavigate } from 'react-router';
import { api, ProblemError } from '../../data/api.ts';
import { give } from '../../sheet/assumed.ts';
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
        ...(metal === '' ? [t('view.seams.the-metal')] : []),
        ...(joint === '' ? [t('view.seams.the-joint')] : []),
        ...(firstMm === null ? [t('view.seams.first-thickness')] : []),
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
      setProblem(t('view.seams.name-missing'));
      return;
    }
    if ('missing' in answer) {
      setProblem(t('view.seams.still-missing', { missing: answer.missing }));
      return;
    }
    setBusy(true);
    try {
      const seam = await api.createSeam({ partId: answers.partId, spec: { ...answer.spec, name } });
      if (answers.lengthMm !== null) give(seam.id, ['lengthMm']);
      done();
      await navigate(`/seams/${seam.id}`);
    } catch (error) {
      if (!(error instanceof ProblemError)) throw error;
      setProblem(`${format(error.problem.title)}. ${error.message}`);
      setBusy(false);
    }
  }

  if (parts.length === 0) {
    return (
      <Notice level="note" word={t('view.seams.first-a-part')}>
        {t('view.seams.needs-part')} <Link to="/shop/parts">{t('view.seams.add-a-part')}</Link>
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
    <Panel title={t('view.seams.a-new-seam')}>
      <form onSubmit={(event) => void create(event)}>
        <Box
          display="grid"
          gridTemplateColumns={{ base: '1fr 1fr', xl: 'repeat(4, minmax(0, 1fr))' }}
          gap="3"
          alignItems="start"
        >
          <ChoiceField
            label={t('view.seams.on-which-part')}
            value={answers.partId}
            choices={parts.filter((part) => !part.retired).map((part) => ({ value: part.id, label: part.name }))}
            onChange={(partId) => set({ partId })}
          />
          <TextField label={t('view.seams.name-question')} value={answers.name} onChange={(name) => set({ name })} />
          <ChoiceField
            label={t('view.library.metal')}
            value={answers.metal}
            choices={[
              { value: '', label: t('view.seams.choose') },
              ...materials.map((one) => ({ value: one.group, label: one.name })),
            ]}
            onChange={(metal: Answers['metal']) => set({ metal })}
          />
          <ChoiceField
            label={t('view.seams.joint')}
            value={answers.joint}
            choices={[
              { value: '', label: t('view.seams.choose') },
              ...jointRules.map((one) => ({ value: one.joint, label: one.name })),
            ]}
            onChange={(joint: Answers['joint']) => set({ joint })}
          />
          <ValueField
            {...thickness}
            label={t('view.seams.first-part')}
            keep={`${keep}/first`}
            value={answers.firstMm}
            onValue={(firstMm) => set({ firstMm })}
          />
          <ValueField
            {...thickness}
            label={t('view.seams.second-part')}
            keep={`${keep}/second`}
            value={answers.secondMm}
            placeholder={t('view.seams.as-the-first')}
            onValue={(secondMm) => set({ secondMm })}
          />
          <ValueField
            label={t('view.seams.seam-length')}
            of="length"
            range={[ranges.lengthMm.min, ranges.lengthMm.max]}
            keep={`${keep}/length`}
            value={answers.lengthMm}
            optional
            step={10}
            placeholder={t('view.seams.if-known')}
            onValue={(lengthMm) => set({ lengthMm })}
          />
          <Box display="flex" gap="2" pt="18px">
            <Action kind="main" type="submit" disabled={busy}>
              {t('view.seams.go-to-sheet')}
            </Action>
            <Action
              onClick={() => {
                done();
                onClose();
              }}
            >
              {t('view.library.cancel')}
            </Action>
          </Box>
        </Box>
        <Box textStyle="label" color="quiet" mt="2" aria-live="polite">
          {'missing' in answer ? t('view.seams.missing', { missing: answer.missing }) : t('view.seams.enough')}
        </Box>
        {problem !== null && (
          <Box mt="3">
            <Notice level="refusal" word={t('view.machines.not-made')} urgent>
              {problem}
            </Notice>
          </Box>
        )}
      </form>
    </Panel>
  );
}
