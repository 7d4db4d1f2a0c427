/** A program said in one machine's own dials: what to set, what changes, how far the dial's steps miss, what this machine cannot be told. */
import { Box, chakra, Heading } from '@chakra-ui/react';
import type { MachineResource, SeamResource } from '@fox-tempo/contract';
import { absent, allOf, amount, signed, whether } from '@fox-tempo/core/base/messages';
import { type DialWindow, dialWindowWords, windowOnDials } from '@fox-tempo/core/evidence/window';
import { type DialQuantity, displayed, quantityFacts, toldDials } from '@fox-tempo/core/machine/description';
import { cardOf, type DialSetting, shouldShow, type Translation, whyNotWords } from '@fox-tempo/core/machine/dials';
import { dialsToSet, standsAt } from '@fox-tempo/core/machine/setup';
import { calibrationOf } from '@fox-tempo/core/metal/arc';
import type { Program } from '@fox-tempo/core/setting/program';
import { hazard } from '@fox-tempo/words';
import { Link } from 'react-router';
import { format, formatIf, t } from '../../lib/words.ts';
import { useSettings } from '../../session/settings.ts';
import { chosenMachine } from '../../sheet/machine-choice.ts';
import type { StandingMachine } from '../../sheet/standing-machine.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { HazardText } from '../../ui/hazard-text.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Unfold } from '../../ui/unfold.tsx';
import { ByHand, Loaded } from './by-hand.tsx';
import { DialLine } from './dial-line.tsx';
import { standingWords } from './known-words.ts';
import { PrintCard } from './print-card.tsx';

export interface DialCardProps {
  readonly machines: readonly MachineResource[];
  /** null while there is nothing to set. */
  readonly program: Program | null;
  /** Seam whose saved revision can be printed, and whether it is this program. */
  readonly print?: { readonly seamId: string; readonly isSaved: boolean } | undefined;
  /** How far each may be moved, machine by machine. */
  readonly windows?: SeamResource['windows'] | undefined;
  /** The machine offered for this seam; left out: the one chosen here, else the first that is described. */
  readonly machine?: StandingMachine | undefined;
}

export function DialCard({ machines: all, program, print, windows = [], machine: offered }: DialCardProps) {
  const machines = all.filter((machine) => !machine.retired);
  const machineId = useSettings((state) => state.machineId);
  const chooseMachine = useSettings((state) => state.chooseMachine);
  const units = useSettings((state) => state.units);
  const machine = offered ?? chosenMachine(machines, machineId);
  if (!machine) return <Notice level="note">{t('view.dial-card.no-machine')}</Notice>;

  const translation = program && cardOf(machine.file, program);
  const changes = translation ? dialsToSet(translation, machine.standing?.dials ?? {}).length : 0;
  const isOutline = machine.file.dials.length === 0;
  // A window belongs to what was saved, not to what is being tried.
  const written = print?.isSaved === true ? windows.find(({ machineId: on }) => on === machine.id) : undefined;
  const ends = program && written ? windowOnDials(machine.file, program, written.window) : [];

  return (
    <Box
      as="section"
      id="dial-card"
      tabIndex={-1}
      aria-label={t('view.dial-card.dial-card', { file: machine.file.name })}
    >
      <Box display="flex" alignItems="baseline" justifyContent="space-between" gap="3">
        <Heading as="h2" textStyle="title">
          {machine.file.name}
        </Heading>
        <Box color="quiet" fontSize="small">
          {machine.file.place}
        </Box>
      </Box>
      <Box color="quiet" fontSize="small" mb="3" aria-live="polite">
        {isOutline
          ? t('view.dial-card.outlined')
          : !program
            ? t('view.dial-card.nothing-to-set')
            : machine.standing === null
              ? t('view.dial-card.state-unknown')
              : changes === 0
                ? t('view.dial-card.already-set')
                : t('view.dial-card.changes', {
                    changes,
                  })}
      </Box>
      {machine.standing && !isOutline && (
        <Box color="quiet" textStyle="label" mb="2">
          {standingWords(machine.standing)}
        </Box>
      )}
      {machines.length > 1 && (
        <Box mb="3">
          <ChoiceField
            label={t('view.dial-card.machine')}
            value={machine.id}
            choices={machines.map(({ id, file }) => ({
              value: id,
              label:
                file.dials.length === 0
                  ? t('view.dial-card.outlined-name', { name: `${file.name}, ${file.place}` })
                  : `${file.name}, ${file.place}`,
            }))}
            onChange={(id) => chooseMachine(id, print?.seamId)}
          />
        </Box>
      )}
      {isOutline && (
        <Notice level="note">
          {t('view.dial-card.dials-unknown', { file: machine.file.name, about: machine.file.about })}
        </Notice>
      )}
      {program && !isOutline && <Loaded machine={machine} program={program} />}
      {translation?.cannot && program && !isOutline && (
        <Notice level="refusal" word={t('view.dial-card.no-dials')}>
          {format(whyNotWords(machine.file, program, translation.cannot))}
        </Notice>
      )}
      {translation && <Lines translation={translation} machine={machine} ends={ends} />}
      {program && !isOutline && <ShouldShowPart program={program} machine={machine} />}
      {program && <ByHand program={program} units={units} />}
      {translation && <CardNotes translation={translation} machineName={machine.file.name} />}
      {print?.isSaved === true && !isOutline && (
        <Box
          asChild
          display="inline-flex"
          alignItems="center"
          minHeight="44px"
          color="accent"
          fontWeight={600}
          fontSize="text"
        >
          <Link to={`/at-machine/${print.seamId}?machine=${machine.id}`}>{t('view.dial-card.use-at-machine')}</Link>
        </Box>
      )}
      {print && !isOutline && <PrintCard seamId={print.seamId} machineId={machine.id} isSaved={print.isSaved} />}
      {program && (
        <Box color="quiet" textStyle="label" mt="3">
          <HazardText said={hazard('view.dial-card.caution')} />
        </Box>
      )}
    </Box>
  );
}

/** What a hand moves while welding first; what stays as set once behind it; lines that stand as they are folded away. */
function Lines({
  translation,
  machine,
  ends,
}: {
  readonly translation: Translation;
  readonly machine: MachineResource;
  readonly ends: readonly DialWindow[];
}) {
  // What nobody has seen stand so has to be set.
  const toSet = dialsToSet(translation, machine.standing?.dials ?? {});
  const standing = translation.dials.filter((dial) => !toSet.includes(dial));
  const groups = [
    { title: t('view.dial-card.first'), dials: toSet.filter((dial) => dial.quantity === 'chart-line') },
    { title: t('view.dial-card.free-to-move'), dials: toSet.filter((dial) => dial.hand === 'free') },
    {
      title: t('view.dial-card.set-once'),
      dials: toSet.filter((dial) => dial.hand === 'fixed' && dial.quantity !== 'chart-line'),
    },
  ].filter((group) => group.dials.length > 0);
  return (
    <>
      {groups.map(({ title, dials }) => (
        <Box key={title} mb="2">
          {groups.length > 1 && (
            <Heading as="h3" textStyle="label" color="quiet" fontWeight={600} mt="1">
              {title}
            </Heading>
          )}
          <LineList dials={dials} machine={machine} ends={ends} />
        </Box>
      ))}
      {standing.length > 0 && (
        <chakra.details mb="2" css={{ '&[open] > summary > [aria-hidden]': { transform: 'rotate(90deg)' } }}>
          <chakra.summary
            cursor="pointer"
            minHeight="44px"
            display="flex"
            alignItems="center"
            color="quiet"
            fontSize="small"
          >
            <Box as="span" aria-hidden="true" me="1.5">
              <Unfold open={false} />
            </Box>
            <span>
              {t('view.dial-card.as-needed', {
                standing: standing.length,
                display: standing.map((dial) => `${dial.label} ${dial.display}`),
              })}
            </span>
          </chakra.summary>
          <LineList dials={standing} machine={machine} ends={ends} />
        </chakra.details>
      )}
      {translation.dials.length > 0 && (
        <Box textStyle="label" color="quiet" mt="1">
          {t('view.dial-card.step-arcs', { arc: amount('shortLength', translation.arcMm, 1) })}
        </Box>
      )}
      {translation.displays.length > 0 && (
        <Box textStyle="label" color="quiet" mt="1">
          {t('view.dial-card.displays', {
            where: allOf(
              translation.displays.map(({ display, unit, label, where }) => `${display} ${unit} (${label}, ${where})`),
            ),
          })}
        </Box>
      )}
    </>
  );
}

/** What the machine's own figures should read, so that a wrong wire or line is seen at the first arc. */
function ShouldShowPart({ program, machine }: { readonly program: Program; readonly machine: StandingMachine }) {
  const show = shouldShow(program, machine.file);
  if (!show) return null;
  const preset = [
    show.presetA === null ? '' : format(amount('current', show.presetA, 0)),
    show.presetV === null ? '' : format(amount('voltage', show.presetV, 1)),
  ].filter((one) => one !== '');
  return (
    <Box textStyle="label" color="quiet" mt="1">
      {preset.length > 0 && <>{t('view.dial-card.display-from-chart', { preset })} </>}
      {t('view.dial-card.display-while-welding', {
        current: amount('current', show.runningA, 0),
        voltage: amount('voltage', show.runningV, 1),
        tip: amount('voltage', show.tipV, 1),
        circuit: amount('resistance', machine.file.circuitMOhm),
      })}
      {calibrationOf(machine.file.corrections, program) && <> {t('view.dial-card.as-calibrated')}</>}
    </Box>
  );
}

function LineList({
  dials,
  machine,
  ends,
}: {
  readonly dials: readonly DialSetting[];
  readonly machine: MachineResource;
  readonly ends: readonly DialWindow[];
}) {
  return (
    <Box as="dl">
      {dials.map((dial) => (
        <DialLine
          key={dial.dialId}
          label={dial.label}
          where={[dial.where, format(dial.level ?? ''), format(formatIf(dial.sense) ?? '')].filter(Boolean).join('; ')}
          display={dial.display}
          unit={dial.unit}
          changed={changesLine(dial, machine)}
          was={wasWords(dial, machine)}
          note={
            [missText(dial), formatIf(dialWindowWords(machine.file, ends, dial.dialId))].filter(Boolean).join('; ') ||
            undefined
          }
        />
      ))}
    </Box>
  );
}

function CardNotes({ translation, machineName }: { readonly translation: Translation; readonly machineName: string }) {
  return (
    <Box display="grid" gap="2" mt="3">
      {translation.warnings.map((warning) => (
        <Notice key={`${format(warning.code)} ${format(warning.message)}`} level={warning.level}>
          {format(warning.message)}
        </Notice>
      ))}
      {translation.notCarried.length > 0 && (
        <Notice level="note" word={t('view.dial-card.cannot-be-set', { machineName })}>
          <Box as="ul" ps="4" listStyleType="disc">
            {translation.notCarried.map(({ quantity, what, nearest }) => (
              <li key={quantity}>{t('view.compare.nearest', { what, nearest })}</li>
            ))}
          </Box>
        </Notice>
      )}
    </Box>
  );
}

/** A name inside a sentence: its first letter small, codes such as AlMg5 as they are. */

/** A line to set on a machine of which something is known; where nothing is, every line is. */
function changesLine({ dialId, value }: DialSetting, { standing }: MachineResource): boolean {
  return standing !== null && !standsAt(standing.dials, dialId, value);
}

function wasWords(dial: DialSetting, { standing, file }: MachineResource): string | undefined {
  const now = standing?.dials[dial.dialId];
  const scale = toldDials(file).find((one) => one.id === dial.dialId)?.scale;
  return now === undefined || !scale ? undefined : displayed(scale, now);
}

/** What the dial's steps leave undone; silent when a hand would not notice. */
function missText({ error, quantity }: DialSetting): string | undefined {
  if (error === undefined) return undefined;
  const { noticed, unit, digits } = quantityFacts(quantity as DialQuantity);
  if (Math.abs(error) < noticed) return undefined;
  return t('view.dial-card.misses-by', {
    error: signed('plain', error, digits),
    unit: unit === '' ? absent : unit,
    value: whether(quantity === 'trimMm'),
  });
}
