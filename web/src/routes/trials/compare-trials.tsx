/** Two to four trials side by side: only what differs of the settings, the bead, the verdicts, the photographs at one scale. */
import { Box, chakra } from '@chakra-ui/react';
import type { MachineResource, Trial } from '@fox-tempo/contract';
import { amount, type SaidValue } from '@fox-tempo/core/base/messages';
import { measuredFigure, symptoms, trialVerdict, type SymptomCode } from '@fox-tempo/core/evidence/trial';
import { Link, useLoaderData, useNavigate } from 'react-router';
import { api } from '../../data/api.ts';
import { blobAddress } from '../../data/blobs.ts';
import { useEndpoint } from '../../data/queries.ts';
import { shopTime } from '../../lib/time.ts';
import { fixed, t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Table } from '../../ui/table.tsx';
import { VerdictMark } from '../../parts/own-welds/index.ts';
import { X } from 'lucide-react';

const most = 4;

export async function loadCompareTrials({ request }: { request: Request }) {
  const ids = (new URL(request.url).searchParams.get('ids') ?? '').split(',').filter((id) => id !== '');
  const [trials, machines] = await Promise.all([
    Promise.all(ids.slice(0, most).map((id) => api.trial(id, request.signal))),
    api.machines(request.signal),
  ]);
  return { trials, machines };
}

export function CompareTrials() {
  const { trials, machines } = useLoaderData<Awaited<ReturnType<typeof loadCompareTrials>>>();
  const navigate = useNavigate();
  const first = trials[0];
  const go = (ids: readonly string[]) => void navigate(`/trials/compare?ids=${ids.join(',')}`);
  const ids = trials.map(({ id }) => id);
  return (
    <Page
      title={t('view.trials.side-by-side')}
      line={first?.seamName}
      trail={[{ name: t('view.app.trials'), to: '/trials' }]}
    >
      {trials.length < most && first && <AddOne seamId={first.seamId} ids={ids} onAdd={(id) => go([...ids, id])} />}
      {trials.length === 0 ? (
        <Notice level="note">
          {t('view.trials.choose-two')} <Link to="/trials">{t('view.app.trials')}</Link>
        </Notice>
      ) : (
        <Panel>
          <Columns trials={trials} machines={machines} onDrop={(id) => go(ids.filter((one) => one !== id))} />
        </Panel>
      )}
    </Page>
  );
}

function AddOne({
  seamId,
  ids,
  onAdd,
}: {
  readonly seamId: string;
  readonly ids: readonly string[];
  readonly onAdd: (id: string) => void;
}) {
  const { data } = useEndpoint('trials', { query: { seam: seamId, limit: '40' } });
  const others = (data?.items ?? []).filter(({ id }) => !ids.includes(id));
  const passed = others.find(({ verdict }) => verdict === 'pass');
  return (
    <Box display="flex" gap="2" alignItems="end" flexWrap="wrap">
      <Box width="340px" maxWidth="100%">
        <ChoiceField
          label={t('view.trials.add')}
          value=""
          choices={[
            { value: '', label: '–' },
            ...others.map(({ id, at, weldedBy, verdict }) => ({
              value: id,
              label: `${shopTime(at)}, ${weldedBy}, ${{ pass: t('view.trials.passed'), fail: t('view.trials.failed'), open: t('view.trials.open') }[verdict]}`,
            })),
          ]}
          onChange={(id) => {
            if (id !== '') onAdd(id);
          }}
        />
      </Box>
      {passed && <Action onClick={() => onAdd(passed.id)}>{t('view.trials.add-last-passed')}</Action>}
    </Box>
  );
}

interface Line {
  readonly name: string;
  readonly values: readonly (SaidValue | null)[];
  readonly figure?: boolean;
}

function Columns({
  trials,
  machines,
  onDrop,
}: {
  readonly trials: readonly Trial[];
  readonly machines: readonly MachineResource[];
  readonly onDrop: (id: string) => void;
}) {
  const settings = settingLines(trials, machines);
  const differing = settings.filter(
    ({ values }) => new Set(values.map((one) => (one === null ? '' : format(one)))).size > 1,
  );
  const sections: readonly (readonly [string, readonly Line[]])[] = [
    [t('view.trials.settings-that-differ'), differing],
    [t('view.trials.the-bead'), beadLines(trials)],
  ];
  const width = `${Math.floor(80 / trials.length)}%`;
  return (
    <Table label={t('view.trials.side-by-side')}>
      <thead>
        <tr>
          <td />
          {trials.map((trial) => {
            const verdict = trialVerdict(trial.limits, trial.body);
            return (
              <Box
                asChild
                key={trial.id}
                textAlign="start"
                verticalAlign="top"
                pe="3"
                pb="2"
                width={width}
                fontWeight={400}
              >
                <th scope="col">
                  <Box
                    asChild
                    color="accent"
                    fontWeight={600}
                    minHeight="44px"
                    display="inline-flex"
                    alignItems="center"
                  >
                    <Link to={`/trials/${trial.id}`}>{shopTime(trial.at)}</Link>
                  </Box>{' '}
                  <Action
                    kind="quiet"
                    minHeight="36px"
                    minWidth="36px"
                    aria-label={t('view.trials.leave-out', { name: shopTime(trial.at) })}
                    onClick={() => onDrop(trial.id)}
                  >
                    <X size={18} aria-hidden="true" />
                  </Action>
                  <Box fontSize="small" color="quiet">
                    {trial.weldedBy}, {trial.machineName}
                  </Box>
                  <VerdictMark verdict={verdict.verdict} byEyeOnly={verdict.byEyeOnly} />
                  <Photo trial={trial} />
                </th>
              </Box>
            );
          })}
        </tr>
      </thead>
      <tbody>
        {sections.map(([title, lines]) => (
          <Section key={title} title={title} lines={lines} columns={trials.length} />
        ))}
        <tr>
          <Cell head>{t('view.trials.seen-head')}</Cell>
          {trials.map(({ id, body }) => (
            <Cell key={id}>
              {Object.entries(body.symptoms)
                .filter(([, { answer }]) => answer === 'yes')
                .map(([code]) => format(symptoms[code as SymptomCode].name))
                .join(', ') || '–'}
            </Cell>
          ))}
        </tr>
        <tr>
          <Cell head>{t('view.trials.note')}</Cell>
          {trials.map(({ id, body }) => (
            <Cell key={id}>{body.note || '–'}</Cell>
          ))}
        </tr>
      </tbody>
    </Table>
  );
}

function Section({
  title,
  lines,
  columns,
}: {
  readonly title: string;
  readonly lines: readonly Line[];
  readonly columns: number;
}) {
  return (
    <>
      <tr>
        <Box asChild pt="3" textStyle="label" color="quiet" textAlign="start">
          <th colSpan={columns + 1} scope="colgroup">
            {title}
          </th>
        </Box>
      </tr>
      {lines.length === 0 && (
        <tr>
          <Box asChild color="quiet" py="1.5">
            <td colSpan={columns + 1}>{t('view.trials.nothing-differs')}</td>
          </Box>
        </tr>
      )}
      {lines.map(({ name, values }) => (
        <tr key={name}>
          <Cell head>{name}</Cell>
          {values.map((value, at) => (
            <Cell key={at} fontFamily="mono">
              {value === null ? '–' : format(value)}
            </Cell>
          ))}
        </tr>
      ))}
    </>
  );
}

/** All at one height, so that beads can be held against each other. */
function Photo({ trial }: { readonly trial: Trial }) {
  const [photo] = trial.attachments;
  return photo ? (
    <chakra.img
      src={blobAddress(photo.sha256)}
      alt={photo.name}
      height="140px"
      mt="2"
      borderRadius="3px"
      objectFit="cover"
    />
  ) : null;
}

function settingLines(trials: readonly Trial[], machines: readonly MachineResource[]): Line[] {
  const dialIds = [...new Set(trials.flatMap(({ body }) => Object.keys(body.dials)))];
  const line = (name: string, of: (trial: Trial) => SaidValue | null): Line => ({ name, values: trials.map(of) });
  return [
    line(t('view.trials.machine'), ({ machineName }) => machineName),
    line(t('view.trials.revision'), ({ revision }) => String(revision)),
    line(t('view.trials.wire-feed'), ({ wireFeedMPerMin }) => amount('wireFeed', wireFeedMPerMin, 1)),
    line(t('view.trials.trim'), ({ trimMm }) => amount('shortLength', trimMm, 1)),
    ...dialIds.map((id) =>
      line(dialName(id, trials, machines), ({ body }) => {
        const value = body.dials[id];
        return value === undefined ? null : fixed(value, Number.isInteger(value) ? 0 : 1);
      }),
    ),
    line(t('view.trials.ctwd'), ({ body }) =>
      body.ctwdMm === undefined ? null : amount('shortLength', body.ctwdMm, 1),
    ),
    line(t('view.trials.plate-before'), ({ body }) =>
      body.plateC === undefined ? null : amount('temperature', body.plateC, 0),
    ),
    line(t('view.trials.welder'), ({ weldedBy }) => weldedBy),
  ];
}

function dialName(id: string, trials: readonly Trial[], machines: readonly MachineResource[]): string {
  const machine = machines.find((one) => one.id === trials[0]?.machineId);
  return machine?.file.dials.find((dial) => dial.id === id)?.label ?? id;
}

function beadLines(trials: readonly Trial[]): Line[] {
  const line = (name: string, of: (trial: Trial) => SaidValue | null): Line => ({ name, values: trials.map(of) });
  return [
    line(t('view.trials.legs'), ({ legsMm }) =>
      legsMm ? `${format(amount('shortLength', legsMm[0], 1))} / ${format(amount('shortLength', legsMm[1], 1))}` : null,
    ),
    line(t('view.trials.travel'), ({ foundTravelMmPerMin }) =>
      foundTravelMmPerMin === null ? null : amount('travel', foundTravelMmPerMin, 0),
    ),
    line(format(measuredFigure('widthMm').name), ({ body }) =>
      body.measured.widthMm === undefined ? null : amount('shortLength', body.measured.widthMm, 1),
    ),
    line(t('view.trials.current-while-welding'), ({ body }) =>
      body.displayed?.currentA === undefined ? null : amount('current', body.displayed.currentA, 0),
    ),
    line(t('view.trials.voltage-while-welding'), ({ body }) =>
      body.displayed?.voltageV === undefined ? null : amount('voltage', body.displayed.voltageV, 1),
    ),
    line(format(measuredFigure('spatter').name), ({ body }) =>
      body.measured.spatter === undefined ? null : String(body.measured.spatter),
    ),
  ];
}
