/** What becomes of a held part: a lead hand decides with a reason, on the own session or with a PIN on somebody else's. */
import { Box } from '@chakra-ui/react';
import type { Run } from '@fox-tempo/contract';
import { useState } from 'react';
import { api } from '../../data/api.ts';
import { useMay } from '../../session/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { LeadPinForm } from '../../parts/lead-pin/index.ts';

type Decision = NonNullable<Run['decision']>['decision'];
const decisionNames: Record<Decision, string> = {
  released: t('view.runs.release'),
  scrapped: t('view.runs.scrap'),
  slip: t('view.runs.never-welded'),
};

export function DecideRun({ run, onDecided }: { readonly run: Run; readonly onDecided: (run: Run) => void }) {
  const task = useTask();
  const [decision, setDecision] = useState<Decision>('released');
  const [reason, setReason] = useState('');
  const isLead = useMay('judgeRun');
  return (
    <Box display="grid" gap="2">
      <Box display="flex" gap="2" flexWrap="wrap" alignItems="end">
        <Box width="220px">
          <ChoiceField
            label={t('view.runs.decision')}
            value={decision}
            choices={(Object.keys(decisionNames) as Decision[]).map((value) => ({
              value,
              label: decisionNames[value],
            }))}
            onChange={(value) => setDecision(value)}
          />
        </Box>
        {isLead && (
          <>
            <Box flex="1 1 220px">
              <TextField label={t('view.machines.why')} value={reason} maxLength={300} onChange={setReason} />
            </Box>
            <Action
              kind="main"
              disabled={task.busy || reason.trim().length < 3}
              onClick={() =>
                void task.run(async () =>
                  onDecided(await api.decideRun(run.id, { decision, reason: reason.trim(), seen: run.state })),
                )
              }
            >
              {decisionNames[decision]}
            </Action>
          </>
        )}
      </Box>
      {isLead ? (
        task.problem !== null && <Notice level="refusal">{task.problem}</Notice>
      ) : (
        <LeadPinForm
          right="judgeRun"
          word={t('view.runs.decide-who')}
          act={decisionNames[decision]}
          task={task}
          onSend={(by, why) =>
            void task.run(async () =>
              onDecided(await api.decideRun(run.id, { decision, reason: why, by, seen: run.state })),
            )
          }
        />
      )}
    </Box>
  );
}
