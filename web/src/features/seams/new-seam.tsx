/** Starts a seam: which part it is on and what it is called; the rest is described on its sheet. */
import { Box } from '@chakra-ui/react';
import type { Part, SeamSpec } from '@fox-tempo/contract';
import { useState, type SubmitEvent } from 'react';
import { useNavigate } from 'react-router';
import { api, ProblemError } from '../../lib/api.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';

/** A plain start that nobody takes for a finished description. */
const blank: Omit<SeamSpec, 'name'> = {
  grade: '',
  materialGroup: 'steel',
  thicknessesMm: [2, 2],
  joint: 'tee',
  position: 'PB',
  gapMm: 0,
  legMm: null,
  lengthMm: 100,
  travelMmPerMin: null,
};

export function NewSeam({ parts, onClose }: { readonly parts: readonly Part[]; readonly onClose: () => void }) {
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [partId, setPartId] = useState(parts[0]?.id ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);

  async function create(event: SubmitEvent) {
    event.preventDefault();
    if (name.trim() === '') {
      setProblem('A seam needs a name.');
      return;
    }
    setBusy(true);
    try {
      const seam = await api.createSeam({ partId, spec: { ...blank, name: name.trim() } });
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
          <Box display="flex" gap="2" pt="18px">
            <Action kind="main" type="submit" disabled={busy}>
              Go to its sheet
            </Action>
            <Action onClick={onClose}>Leave it</Action>
          </Box>
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
