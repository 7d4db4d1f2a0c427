/** A bar for each machine: changeovers hatched, work in colour, late work marked; the end of each shift as a line. */
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import type { DayPlan } from '@fox-tempo/core/day-plan';
import { t } from '../../lib/words.ts';
import type { NamedJob } from '../../lib/day-jobs.ts';
import { clock, own } from './named.ts';

const shiftMinutes = 480;

export function Bars({
  plan,
  machines,
  jobs,
}: {
  readonly plan: DayPlan;
  readonly machines: readonly MachineResource[];
  readonly jobs: readonly NamedJob[];
}) {
  const end = Math.max(60, ...plan.bars.map(({ toMinute }) => toMinute));
  const share = (minute: number) => `${(100 * minute) / end}%`;
  const shifts = Array.from({ length: Math.floor(end / shiftMinutes) }, (_, at) => (at + 1) * shiftMinutes);
  return (
    <Box display="grid" gap="2">
      {machines.map(({ id, file }) => (
        <Box key={id} display="grid" gridTemplateColumns="84px minmax(0, 1fr)" alignItems="center" gap="2">
          <Box fontWeight={600} fontSize="14px">
            {file.name}
          </Box>
          <Box position="relative" height="52px" bg="page" borderWidth="1px" borderColor="line" overflow="hidden">
            {own(plan, id).map((bar) => {
              const job = jobs.find((one) => one.id === bar.jobId);
              const title = `${job?.name ?? bar.jobId}, ${job?.order ?? ''}: ${clock(bar.fromMinute)} – ${clock(bar.toMinute)}`;
              return (
                <Box key={bar.jobId}>
                  {bar.setupMinutes > 0 && (
                    <Box
                      position="absolute"
                      top="0"
                      bottom="0"
                      left={share(bar.fromMinute - bar.setupMinutes)}
                      width={share(bar.setupMinutes)}
                      title={t('view.run-plan.changeover-before', { seam: job?.name ?? '' })}
                      style={{
                        background:
                          'repeating-linear-gradient(45deg, var(--chakra-colors-ochre-soft), var(--chakra-colors-ochre-soft) 4px, var(--chakra-colors-surface) 4px, var(--chakra-colors-surface) 8px)',
                      }}
                    />
                  )}
                  <Box
                    position="absolute"
                    top="4px"
                    bottom="4px"
                    left={share(bar.fromMinute)}
                    width={share(bar.toMinute - bar.fromMinute)}
                    bg={bar.lateMinutes > 0 ? 'crimsonSoft' : 'spruceSoft'}
                    borderWidth="1px"
                    borderColor={bar.lateMinutes > 0 ? 'crimson' : 'spruce'}
                    borderRadius="2px"
                    px="1"
                    fontSize="12px"
                    lineHeight="1.2"
                    overflow="hidden"
                    title={title}
                  >
                    <Box truncate title={title}>
                      {bar.lateMinutes > 0 ? '✕ ' : ''}
                      {job?.name}
                    </Box>
                    <Box truncate title={title}>
                      {job?.order}
                    </Box>
                  </Box>
                </Box>
              );
            })}
            {shifts.map((minute) => (
              <Box
                key={minute}
                position="absolute"
                top="0"
                bottom="0"
                left={share(minute)}
                borderLeftWidth="2px"
                borderColor="edge"
                aria-hidden="true"
              />
            ))}
          </Box>
        </Box>
      ))}
      <Box fontSize="12px" color="quiet" pl="92px">
        {t('view.run-plan.hours-of-work', { end: clock(end) })}
      </Box>
    </Box>
  );
}
