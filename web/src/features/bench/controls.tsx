/** What can be moved, in physics with its unit, and under it the same in the machine's own dial; either moves the other. */
import { Box, chakra } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import {
  feedHabits,
  stepDial,
  translate,
  type DialSetting,
  type FeedHabit,
  type Program,
  type QuantityName,
} from '@fox-tempo/core';
import { useEffect, useRef } from 'react';
import { Action } from '../../ui/action.tsx';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';
import type { Setting, Tunable } from './use-setting.ts';

interface Control {
  readonly quantity: Tunable;
  readonly label: string;
  readonly of: QuantityName;
  readonly range: (program: Program) => readonly [number, number];
  readonly step: number;
  readonly pulsedOnly?: boolean;
}

const controls: readonly Control[] = [
  { quantity: 'wireFeedMPerMin', label: 'Wire feed', of: 'wireFeed', range: () => [0.5, 25], step: 0.1 },
  { quantity: 'trimMm', label: 'Trim (arc length)', of: 'shortLength', range: () => [-6, 6], step: 0.1 },
  { quantity: 'stiffness', label: 'Soft to stiff', of: 'plain', range: () => [-10, 10], step: 1 },
  { quantity: 'ctwdMm', label: 'Stick-out', of: 'shortLength', range: () => [8, 35], step: 0.5 },
  { quantity: 'peakCurrentA', label: 'Fast peak', of: 'current', range: () => [150, 600], step: 5, pulsedOnly: true },
  {
    quantity: 'backgroundCurrentA',
    label: 'Fast background',
    of: 'current',
    range: () => [15, 300],
    step: 2,
    pulsedOnly: true,
  },
];

const habitWords: Record<FeedHabit, string> = {
  'follow-line': 'follow the machine’s line',
  'hold-volts': 'hold the volts',
  'hold-length': 'hold the arc length',
};

export function figureOf(program: Program, quantity: Tunable): number | null {
  if (quantity === 'peakCurrentA' || quantity === 'backgroundCurrentA') return program.pulse?.[quantity] ?? null;
  return program[quantity];
}

export interface ControlsProps {
  readonly setting: Setting;
  readonly machine: MachineResource | undefined;
  readonly habit: FeedHabit;
  readonly onHabit: (habit: FeedHabit) => void;
}

export function Controls({ setting, machine, habit, onHabit }: ControlsProps) {
  const { program, stored } = setting;
  if (!program) return null;
  const dials = machine ? translate(machine.file, program).dials : [];
  const shown = controls.filter((control) => !control.pulsedOnly || program.pulse);
  return (
    <Box
      as="section"
      aria-label="Controls"
      bg="surface"
      borderWidth="1px"
      borderColor="line"
      borderRadius="4px"
      px="3"
      py="2"
    >
      <Box
        display="grid"
        gridTemplateColumns={{
          base: 'repeat(2, 1fr)',
          md: 'repeat(3, 1fr)',
          xl: `repeat(${shown.length}, minmax(0, 1fr))`,
        }}
        gap="3"
      >
        {shown.map((control) => (
          <OneControl
            key={control.quantity}
            control={control}
            value={figureOf(program, control.quantity)}
            was={stored ? figureOf(stored, control.quantity) : null}
            dial={dials.find((dial) => dial.quantity === control.quantity)}
            program={program}
            setting={setting}
            machine={machine}
            habit={habit}
          />
        ))}
      </Box>
      <Box display="flex" gap="3" alignItems="end" mt="1" flexWrap="wrap">
        <Box width="260px">
          <ChoiceField
            label="When the feed moves"
            value={habit}
            choices={feedHabits.map((value) => ({ value, label: habitWords[value] }))}
            onChange={onHabit}
          />
        </Box>
        <Box fontSize="12.5px" color="quiet" flex="1 1 220px" pb="2">
          {habit === 'hold-volts'
            ? 'More feed then shortens the arc, less lengthens it: at fixed volts more wire can look colder.'
            : habit === 'hold-length'
              ? 'The arc keeps its length in millimetres whatever the feed.'
              : 'The arc keeps to the machine’s own line: as taught from its chart, or the model’s length where it was not.'}
        </Box>
      </Box>
    </Box>
  );
}

function OneControl({
  control: { quantity, label, of, range, step },
  value,
  was,
  dial,
  program,
  setting,
  machine,
  habit,
}: {
  readonly control: Control;
  readonly value: number | null;
  readonly was: number | null;
  readonly dial: DialSetting | undefined;
  readonly program: Program;
  readonly setting: Setting;
  readonly machine: MachineResource | undefined;
  readonly habit: FeedHabit;
}) {
  const slider = useRef<HTMLInputElement>(null);
  const [low, high] = range(program);
  const move = (figure: number) => setting.move(quantity, Number(figure.toFixed(4)), habit);
  // A passive listener could not keep the page from scrolling under the wheel.
  const onWheel = useRef<(event: WheelEvent) => void>(() => undefined);
  useEffect(() => {
    onWheel.current = (event) => {
      if (document.activeElement !== slider.current || value === null) return;
      event.preventDefault();
      move(Math.min(Math.max(value - Math.sign(event.deltaY) * step, low), high));
    };
  });
  useEffect(() => {
    const element = slider.current;
    const hear = (event: WheelEvent) => onWheel.current(event);
    element?.addEventListener('wheel', hear, { passive: false });
    return () => element?.removeEventListener('wheel', hear);
  }, []);

  const changed = was !== null && value !== null && Math.abs(was - value) > step / 20;
  const turn = (steps: number) => {
    if (!machine || quantity === 'ctwdMm') return;
    const moved = stepDial(machine.file, program, quantity, steps);
    if (moved) setting.move(quantity, moved.figure, habit);
  };
  return (
    <Box minWidth={0} {...(changed ? { borderLeftWidth: '3px', borderColor: 'accent', pl: '2' } : {})}>
      <ValueField
        key={`${quantity} ${value ?? 0}`}
        label={label}
        of={of}
        value={value === null ? null : Number(value.toFixed(3))}
        keep={`bench/${setting.seam.id}/${quantity}`}
        step={step}
        onValue={(figure) => {
          if (figure !== null) move(figure);
        }}
        hint={
          changed ? (
            <>
              was {Number(was.toFixed(2))}
              <chakra.button
                type="button"
                color="accent"
                fontWeight={600}
                ml="1"
                minHeight="24px"
                cursor="pointer"
                aria-label={`Put ${label} back`}
                onClick={() => setting.putBack(quantity)}
              >
                put back
              </chakra.button>
            </>
          ) : undefined
        }
      />
      <chakra.input
        ref={slider}
        type="range"
        aria-label={`${label}, slider`}
        min={low}
        max={high}
        step={step}
        value={value ?? low}
        width="100%"
        minHeight="30px"
        accentColor="var(--chakra-colors-accent)"
        onChange={(event) => move(Number(event.target.value))}
      />
      {dial ? (
        <Box display="grid" gridTemplateColumns="44px minmax(0, 1fr) 44px" alignItems="center">
          <Action
            kind="quiet"
            px="0"
            aria-label={`${dial.label} one step to less ${label.toLowerCase()}`}
            onClick={() => turn(-1)}
          >
            −
          </Action>
          <Box fontSize="12px" color="quiet" textAlign="center" lineHeight="1.2">
            {dial.label}
            <Box as="span" display="block" textStyle="figure" fontSize="16px" color="ink">
              {dial.display}
            </Box>
          </Box>
          <Action
            kind="quiet"
            px="0"
            aria-label={`${dial.label} one step to more ${label.toLowerCase()}`}
            onClick={() => turn(1)}
          >
            +
          </Action>
        </Box>
      ) : (
        <Box fontSize="12px" color="quiet" minHeight="44px" textAlign="center" pt="2">
          {quantity === 'ctwdMm'
            ? 'your hand'
            : quantity === 'backgroundCurrentA'
              ? 'follows the feed'
              : `no dial for it${machine ? ` on ${machine.file.name}` : ''}`}
        </Box>
      )}
    </Box>
  );
}
