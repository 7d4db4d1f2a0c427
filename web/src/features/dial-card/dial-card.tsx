/** A program said in one machine's own dials: what to set, what changes, how far the dial's steps miss the wish. */
import { Box, Heading } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import {
  fillerOf,
  formatWithUnit,
  gasOf,
  quantityUnits,
  translate,
  wireSizeLabel,
  type DialSetting,
  type Program,
  type UnitSystem,
} from '@fox-tempo/core';
import { useSettings } from '../../lib/settings.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';

export interface DialCardProps {
  readonly machines: readonly MachineResource[];
  /** null while there is nothing to set. */
  readonly program: Program | null;
}

export function DialCard({ machines, program }: DialCardProps) {
  const machineId = useSettings((state) => state.machineId);
  const chooseMachine = useSettings((state) => state.chooseMachine);
  const units = useSettings((state) => state.units);
  const machine = chosenMachine(machines, machineId);
  if (!machine) return <Notice level="note">No machine is described yet, so there is nothing to dial.</Notice>;

  const translation = program && translate(machine.file, program);
  const changes = translation?.dials.filter((dial) => changesLine(dial, machine)).length ?? 0;
  const isOutline = machine.file.dials.length === 0;

  return (
    <Box as="section" id="dial-card" tabIndex={-1} aria-label={`Dial card, ${machine.file.name}`}>
      <Box display="flex" alignItems="baseline" justifyContent="space-between" gap="3">
        <Heading as="h2" textStyle="title">
          {machine.file.name}
        </Heading>
        <Box color="quiet" fontSize="13px">
          {machine.file.place}
        </Box>
      </Box>
      <Box color="quiet" fontSize="13px" mb="3" aria-live="polite">
        {isOutline
          ? 'outlined only'
          : !program
            ? 'nothing to set yet'
            : changes === 0
              ? 'stands as needed'
              : `${changes} ${changes === 1 ? 'line changes' : 'lines change'} from how it stands`}
      </Box>
      {machines.length > 1 && (
        <Box mb="3">
          <ChoiceField
            label="Machine"
            value={machine.id}
            choices={machines.map(({ id, file }) => ({
              value: id,
              label: `${file.name}, ${file.place}${file.dials.length === 0 ? ' (outlined)' : ''}`,
            }))}
            onChange={chooseMachine}
          />
        </Box>
      )}
      {isOutline && (
        <Notice level="note">
          {machine.file.name}’s dials have not been described, so a setting cannot be said in its words.{' '}
          {machine.file.about}
        </Notice>
      )}
      {program && !isOutline && <Loaded machine={machine} program={program} />}
      {translation && (
        <Box as="dl">
          {translation.dials.map((dial) => (
            <Line
              key={dial.dialId}
              label={dial.label}
              where={dial.sense ? `${dial.where}; ${dial.sense}` : dial.where}
              display={dial.display}
              unit={dial.unit}
              changed={changesLine(dial, machine)}
              note={missText(dial)}
            />
          ))}
        </Box>
      )}
      {program && <ByHand program={program} units={units} />}
      <Box display="grid" gap="2" mt="3">
        {translation?.warnings.map((warning) => (
          <Notice key={warning.code} level={warning.level}>
            {warning.message}
          </Notice>
        ))}
      </Box>
      {program && (
        <Box color="quiet" textStyle="label" mt="3">
          A starting point from a model: verify on scrap. Ears, eyes and skin covered, extraction on; your local code
          and qualified procedure come first.
        </Box>
      )}
    </Box>
  );
}

/** The machine whose card is shown: the one chosen, else the first that is described. */
export function chosenMachine(
  machines: readonly MachineResource[],
  machineId: string | null,
): MachineResource | undefined {
  return (
    machines.find((one) => one.id === machineId) ?? machines.find((one) => one.file.dials.length > 0) ?? machines[0]
  );
}

/** Wire and gas on the machine against what the program needs: the first thing to look at. */
function Loaded({ machine, program }: { machine: MachineResource; program: Program }) {
  const { standing } = machine;
  if (!standing) return null;
  const wrongWire = standing.filler !== program.filler || Math.abs(standing.diameterMm - program.diameterMm) > 0.03;
  const wrongGas = standing.gas !== program.gas;
  if (!wrongWire && !wrongGas) return null;
  return (
    <Box mb="3">
      <Notice level="caution" word="Change over first.">
        {machine.file.name} holds {inSentence(fillerOf(standing.filler).name)}, {wireSizeLabel(standing.diameterMm)}, in{' '}
        {gasOf(standing.gas).name}; this seam needs{' '}
        {wrongWire ? `${inSentence(fillerOf(program.filler).name)}, ${wireSizeLabel(program.diameterMm)}` : ''}
        {wrongWire && wrongGas ? ', in ' : ''}
        {wrongGas ? gasOf(program.gas).name : ''}.
      </Notice>
    </Box>
  );
}

function ByHand({ program, units }: { program: Program; units: UnitSystem }) {
  const figure = (text: string) => {
    const [display = '', unit = ''] = text.split(' ');
    return { display, unit };
  };
  return (
    <>
      <Heading as="h3" textStyle="heading" mt="4" mb="1">
        By hand
      </Heading>
      <Box as="dl">
        <Line
          label="Gas flow"
          where="at the nozzle, middle of the ball"
          {...figure(formatWithUnit(program.gasFlowLPerMin, 'gasFlow', units))}
        />
        <Line
          label="Stick-out"
          where="contact tip to plate"
          {...figure(formatWithUnit(program.ctwdMm, 'shortLength', units, units === 'metric' ? 1 : 2))}
        />
        <Line
          label="Travel"
          where="time a marked length"
          {...figure(formatWithUnit(program.travelMmPerMin, 'travel', units))}
        />
      </Box>
    </>
  );
}

interface LineProps {
  readonly label: string;
  readonly where: string;
  readonly display: string;
  readonly unit: string;
  readonly changed?: boolean;
  readonly note?: string | undefined;
}

function Line({ label, where, display, unit, changed = false, note }: LineProps) {
  return (
    <Box
      display="flex"
      alignItems="center"
      justifyContent="space-between"
      gap="3"
      minHeight="50px"
      py="1"
      borderBottomWidth="1px"
      borderColor="line"
      {...(changed
        ? { bg: 'accentSoft', borderLeftWidth: '4px', borderLeftColor: 'accent', mx: '-14px', px: '10px', pr: '14px' }
        : {})}
    >
      <Box as="dt" minWidth={0}>
        <Box fontWeight={600} fontSize="14px">
          {label}
          {changed && (
            <Box as="span" color="accent" fontWeight={600} fontSize="12px" ml="1.5">
              set
            </Box>
          )}
        </Box>
        <Box textStyle="label" color="quiet">
          {where}
        </Box>
        {note !== undefined && (
          <Box textStyle="label" color="quiet">
            {note}
          </Box>
        )}
      </Box>
      <Box as="dd" textStyle="bigFigure" whiteSpace="nowrap" flexShrink={0}>
        {display}
        {unit !== '' && (
          <Box as="span" fontSize="13px" color="quiet" ml="1">
            {unit}
          </Box>
        )}
      </Box>
    </Box>
  );
}

/** A name inside a sentence: its first letter small, codes such as AlMg5 as they are. */
function inSentence(name: string): string {
  return name.charAt(0).toLowerCase() + name.slice(1);
}

function changesLine(dial: DialSetting, { standing }: MachineResource): boolean {
  const now = standing?.dials[dial.dialId];
  return now !== undefined && Math.abs(now - dial.value) > 1e-9;
}

/** What the dial's steps leave undone; silent when it is less than a fiftieth of what a hand would notice. */
function missText({ error, quantity }: DialSetting): string | undefined {
  if (error === undefined || quantity === 'chart-line') return undefined;
  const noticed = { wireFeedMPerMin: 0.02, trimMm: 0.02, stiffness: 0.1, peakCurrentA: 0.5, gasFlowLPerMin: 0.2 }[
    quantity
  ];
  if (Math.abs(error) < noticed) return undefined;
  const digits = quantity === 'peakCurrentA' ? 0 : 2;
  return `misses by ${error > 0 ? '+' : '−'}${Math.abs(error).toFixed(digits)} ${quantityUnits[quantity]}`;
}
