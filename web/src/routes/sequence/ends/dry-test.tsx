/** The dry-test sheet: what a machine's plain latching really does, found without wire or arc, and written to its page. */
import { t, format } from '../../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { plainLatches, type PlainLatch, type TriggerMode } from '@fox-tempo/core/machine/description';
import { triggerTestFor } from '@fox-tempo/core/machine/teaching';
import { useState } from 'react';
import { Action } from '../../../ui/action.tsx';
import { ChoiceField } from '../../../ui/choice-field.tsx';
import { Notice } from '../../../ui/notice.tsx';

export function DryTest({
  machine,
  mode,
  onFound,
}: {
  readonly machine: MachineResource;
  readonly mode: TriggerMode;
  /** A message when it could not be stored. */
  readonly onFound: (machine: MachineResource, modeId: string, plain: PlainLatch) => Promise<string | null>;
}) {
  const test = triggerTestFor(mode);
  const [startsOn, setStartsOn] = useState<PlainLatch['startsOn']>(mode.plain?.startsOn ?? 'press');
  const [endsOn, setEndsOn] = useState<PlainLatch['endsOn']>(mode.plain?.endsOn ?? 'press');
  const [failed, setFailed] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  return (
    <Notice level="caution" word={t('view.sequence.nobody-has-tried', { mode: mode.label })}>
      {t('view.sequence.dry-test.why', {
        plainLatches: plainLatches.length,
        minutes: test.minutes,
        safety: test.safety,
      })}
      <Box as="ol" ps="5" listStyleType="decimal" mt="1">
        {test.steps.map((step) => (
          <li key={format(step)}>{format(step)}</li>
        ))}
      </Box>
      <Timeline startsOn={startsOn} endsOn={endsOn} />
      <Box display="grid" gap="2" my="2">
        <ChoiceField
          label={t('view.sequence.the-drive-starts')}
          value={startsOn}
          choices={[
            { value: 'press', label: t('view.sequence.dry-test.first-press-down') },
            { value: 'release', label: t('view.sequence.dry-test.first-press-released') },
          ]}
          onChange={setStartsOn}
        />
        <ChoiceField
          label={t('view.sequence.the-drive-stops')}
          value={endsOn}
          choices={[
            { value: 'press', label: t('view.sequence.dry-test.second-press-down') },
            { value: 'release', label: t('view.sequence.dry-test.second-press-released') },
          ]}
          onChange={setEndsOn}
        />
      </Box>
      <Action
        disabled={busy}
        onClick={() => {
          setBusy(true);
          void onFound(machine, mode.id, { startsOn, endsOn }).then((message) => {
            setBusy(false);
            setFailed(message);
          });
        }}
      >
        {t('view.machines.trigger-confirm')}
      </Action>
      {failed && (
        <Box role="alert" color="crimson" mt="1">
          {failed}
        </Box>
      )}
    </Notice>
  );
}

/** Two presses over what gas and drive do, drawn for the answer that stands. */
function Timeline({ startsOn, endsOn }: PlainLatch) {
  const driveFrom = startsOn === 'press' ? 62 : 110;
  const driveTo = endsOn === 'press' ? 250 : 298;
  const row = (y: number, name: string) => (
    <text x="0" y={y + 13} fill="currentColor" style={{ fontSize: '12px' }}>
      {name}
    </text>
  );
  return (
    <Box asChild color="ink" maxWidth="420px" width="100%" my="2">
      <svg
        viewBox="0 0 380 78"
        role="img"
        aria-label={t('view.sequence.drive-starts-stops', {
          startsOn:
            startsOn === 'press'
              ? t('view.sequence.dry-test.at-first-press')
              : t('view.sequence.dry-test.first-press-released'),
          endsOn:
            endsOn === 'press'
              ? t('view.sequence.dry-test.at-second-press')
              : t('view.sequence.dry-test.second-press-released'),
        })}
      >
        {row(2, 'trigger')}
        {row(28, 'gas')}
        {row(54, 'drive')}
        <rect x="56" y="2" width="54" height="18" fill="currentColor" />
        <rect x="250" y="2" width="48" height="18" fill="currentColor" />
        <rect x="56" y="30" width={driveTo - 56 + 40} height="14" fill="var(--chakra-colors-spruce)" opacity="0.7" />
        <rect
          x={driveFrom}
          y="54"
          width={driveTo - driveFrom}
          height="18"
          fill="var(--chakra-colors-accent)"
          opacity="0.75"
        />
      </svg>
    </Box>
  );
}
