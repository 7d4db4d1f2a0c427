/** Somebody saved in between: both versions line by line, and the person decides. */
import { Box, Heading } from '@chakra-ui/react';
import type { SeamResource } from '@fox-tempo/contract';
import {
  fillerOf,
  formatWithUnit,
  gasOf,
  jointRule,
  materialOf,
  wireSizeLabel,
  type UnitSystem,
} from '@fox-tempo/core';
import { useSettings } from '../../lib/settings.ts';
import { shopTime } from '../../lib/time.ts';
import { Action } from '../../ui/action.tsx';
import type { Sheet } from './sheet-fields.ts';

export interface ConflictProps {
  readonly stored: SeamResource;
  readonly storedSheet: Sheet;
  readonly mine: Sheet;
  readonly onKeepMine: () => void;
  readonly onTakeTheirs: () => void;
}

export function Conflict({ stored, storedSheet, mine, onKeepMine, onTakeTheirs }: ConflictProps) {
  const units = useSettings((state) => state.units);
  const [theirLines, myLines] = [describe(storedSheet, units), describe(mine, units)];
  const differing = theirLines.flatMap(([label, theirs], index) => {
    const own = myLines[index]?.[1] ?? '';
    return own === theirs ? [] : [{ label, theirs, own }];
  });
  return (
    <Box
      as="section"
      role="alertdialog"
      aria-labelledby="conflict-title"
      bg="ochreSoft"
      borderWidth="1px"
      borderColor="ochre"
      borderRadius="4px"
      p="4"
    >
      <Heading as="h2" id="conflict-title" textStyle="heading" mb="1">
        Two versions of this seam
      </Heading>
      <Box fontSize="13.5px" mb="2">
        {stored.changedBy} saved {shopTime(stored.changedAt)}, after you opened it. Nothing is lost: choose which
        stands; the other stays in the revisions or in your undo.
      </Box>
      <Box asChild width="100%" fontSize="13.5px">
        <table>
          <thead>
            <tr>
              <Cell head>Line</Cell>
              <Cell head>Stored by {stored.changedBy}</Cell>
              <Cell head>Yours</Cell>
            </tr>
          </thead>
          <tbody>
            {differing.map(({ label, theirs, own }) => (
              <tr key={label}>
                <Cell>{label}</Cell>
                <Cell>{theirs}</Cell>
                <Cell>{own}</Cell>
              </tr>
            ))}
            {differing.length === 0 && (
              <tr>
                <Cell>Both say the same.</Cell>
              </tr>
            )}
          </tbody>
        </table>
      </Box>
      <Box display="flex" gap="2" mt="3" flexWrap="wrap">
        <Action kind="main" onClick={onKeepMine}>
          Keep mine as the next revision
        </Action>
        <Action onClick={onTakeTheirs}>Take the stored one</Action>
      </Box>
    </Box>
  );
}

function Cell({ head = false, children }: { readonly head?: boolean; readonly children: React.ReactNode }) {
  return (
    <Box
      asChild
      textAlign="left"
      py="1.5"
      pr="4"
      borderBottomWidth="1px"
      borderColor="ochre"
      fontWeight={head ? 600 : 400}
    >
      {head ? <th scope="col">{children}</th> : <td>{children}</td>}
    </Box>
  );
}

function describe({ spec, choice }: Sheet, units: UnitSystem): readonly (readonly [label: string, value: string])[] {
  const thickness = (mm: number) => formatWithUnit(mm, 'thickness', units);
  const orPlan = (value: number | null, show: (value: number) => string) =>
    value === null ? 'as planned' : show(value);
  return [
    ['Name', spec.name],
    ['Metal', materialOf(spec.materialGroup).name],
    ['Grade', spec.grade],
    ['First part', thickness(spec.thicknessesMm[0])],
    ['Second part', thickness(spec.thicknessesMm[1])],
    ['Joint', jointRule(spec.joint).name],
    ['Position', spec.position],
    ['Gap', thickness(spec.gapMm)],
    ['Leg', orPlan(spec.legMm, thickness)],
    ['Length', formatWithUnit(spec.lengthMm, 'length', units)],
    ['Pace', orPlan(spec.travelMmPerMin, (value) => formatWithUnit(value, 'travel', units))],
    ['Transfer', choice.mode.replace('-', ' ')],
    ['Wire', `${fillerOf(choice.filler).name}, ${wireSizeLabel(choice.diameterMm)}`],
    ['Gas', gasOf(choice.gas).name],
    ['Arc length', choice.arcHabit === 'by-joint' ? 'by the joint' : 'at the line'],
    ['Wire feed', orPlan(choice.wireFeedMPerMin, (value) => formatWithUnit(value, 'wireFeed', units))],
  ];
}
