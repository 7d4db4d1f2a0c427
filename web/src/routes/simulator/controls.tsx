/** What can be moved, in physics with its unit, and under it the same in the machine's own dial; either moves the other. */
import { absent, inSentence } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { Box, chakra } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { cardOf, type DialSetting } from '@fox-tempo/core/machine/dials';
import { type Program } from '@fox-tempo/core/setting/program';
import { feedHabits, pulseNumbers, stepDial, type FeedHabit, type PulseNumber } from '@fox-tempo/core/machine/tuning';
import type { QuantityName } from '@fox-tempo/core/base/units';
import { memo, useEffect, useRef, useState } from 'react';
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
  /** Only where the machine has a dial for it; otherwise it stands with the other numbers of the pulse. */
  readonly dialOnly?: boolean;
}

const controls: readonly Control[] = [
  {
    quantity: 'wireFeedMPerMin',
    label: t('view.simulator.wire-feed'),
    of: 'wireFeed',
    range: () => [0.5, 25],
    step: 0.1,
  },
  {
    quantity: 'trimMm',
    label: t('view.simulator.trim-arc-length'),
    of: 'shortLength',
    range: () => [-6, 6],
    step: 0.1,
  },
  { quantity: 'stiffness', label: t('view.simulator.soft-to-stiff'), of: 'plain', range: () => [-10, 10], step: 1 },
  { quantity: 'ctwdMm', label: t('view.simulator.ctwd'), of: 'shortLength', range: () => [8, 35], step: 0.5 },
  {
    quantity: 'peakCurrentA',
    label: t('view.simulator.fast-peak'),
    of: 'current',
    range: () => [150, 600],
    step: 5,
    dialOnly: true,
  },
];

const habitWords: Record<FeedHabit, string> = {
  'follow-line': t('view.simulator.feed.follow-line'),
  'hold-volts': t('view.simulator.hold-the-volts'),
  'hold-length': t('view.simulator.feed.keep-arc-length'),
};

const isPulseNumber = (quantity: Tunable): quantity is PulseNumber => pulseNumbers.some((one) => one === quantity);

export function figureOf(program: Program, quantity: Tunable): number | null {
  return isPulseNumber(quantity) ? (program.pulse?.[quantity] ?? null) : program[quantity];
}

export interface ControlsProps {
  readonly setting: Setting;
  readonly machine: MachineResource | undefined;
  readonly habit: FeedHabit;
  readonly onHabit: (habit: FeedHabit) => void;
}

export function Controls({ setting, machine, habit, onHabit }: ControlsProps) {
  const { program, stored } = setting;
  const [hand] = useState(createHand);
  useEffect(() => hand.follow({ setting, machine, habit }));
  if (!program) return null;
  const dials = machine ? cardOf(machine.file, program).dials : [];
  const shown = controls.filter(
    ({ dialOnly, quantity }) => !dialOnly || (program.pulse && dials.some((dial) => dial.quantity === quantity)),
  );
  return (
    <Box
      as="section"
      aria-label={t('view.simulator.controls')}
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
          base: 'repeat(2, minmax(0, 1fr))',
          md: `repeat(${shown.length}, minmax(0, 1fr))`,
          xl: `repeat(${shown.length + 1}, minmax(0, 1fr))`,
        }}
        gap="3"
      >
        {shown.map((control) => (
          <Same
            key={control.quantity}
            control={control}
            value={figureOf(program, control.quantity)}
            was={stored ? figureOf(stored, control.quantity) : null}
            dial={dials.find((dial) => dial.quantity === control.quantity)}
            range={control.range(program)}
            seamId={setting.seam.id}
            machineName={machine?.file.name}
            hand={hand}
          />
        ))}
        <Box gridColumn={{ md: '1 / -1', xl: 'auto' }}>
          <ChoiceField
            label={t('view.simulator.feed.question')}
            value={habit}
            choices={feedHabits.map((value) => ({ value, label: habitWords[value] }))}
            onChange={onHabit}
          />
          <Box fontSize="label" color="quiet" lineHeight="1.3" mt="1">
            {habit === 'hold-volts'
              ? t('view.simulator.feed.fixed-voltage')
              : habit === 'hold-length'
                ? t('view.simulator.feed.arc-length-kept')
                : t('view.simulator.feed.line-followed')}
          </Box>
        </Box>
      </Box>
    </Box>
  );
}

/** What a control does, always with the newest setting, so that a control which shows the same need not be drawn again. */
interface Hand {
  follow: (latest: Held) => void;
  move: (quantity: Tunable, figure: number) => void;
  turn: (quantity: Tunable, steps: number) => void;
  putBack: (quantity: Tunable) => void;
}
type Held = Pick<ControlsProps, 'setting' | 'machine' | 'habit'>;

function createHand(): Hand {
  let held: Held | undefined;
  return {
    follow(latest) {
      held = latest;
    },
    move: (quantity, figure) => held?.setting.move(quantity, Number(figure.toFixed(4)), held.habit),
    turn(quantity, steps) {
      if (!held?.machine || !held.setting.program || quantity === 'ctwdMm') return;
      const moved = stepDial(held.machine.file, held.setting.program, quantity, steps);
      if (moved) held.setting.move(quantity, moved.figure, held.habit);
    },
    putBack: (quantity) => held?.setting.putBack(quantity),
  };
}

interface OneControlProps {
  readonly control: Control;
  readonly value: number | null;
  readonly was: number | null;
  readonly dial: DialSetting | undefined;
  readonly range: readonly [number, number];
  readonly seamId: string;
  readonly machineName: string | undefined;
  readonly hand: Hand;
}

const Same = memo(
  OneControl,
  (before, now) =>
    before.value === now.value &&
    before.was === now.was &&
    before.dial?.label === now.dial?.label &&
    before.dial?.display === now.dial?.display &&
    before.seamId === now.seamId &&
    before.machineName === now.machineName,
);

function OneControl({
  control: { quantity, label, of, step },
  value,
  was,
  dial,
  range: [low, high],
  seamId,
  machineName,
  hand,
}: OneControlProps) {
  const slider = useRef<HTMLInputElement>(null);
  const move = (figure: number) => hand.move(quantity, figure);
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
  const turn = (steps: number) => hand.turn(quantity, steps);
  return (
    // In a narrow place the dial's own steps come first: that is what the hand is at.
    <Box
      minWidth={0}
      display="flex"
      flexDirection="column"
      {...(changed ? { borderStartWidth: '3px', borderColor: 'accent', ps: '2' } : {})}
    >
      <Box minHeight="80px">
        <ValueField
          label={label}
          of={of}
          value={value === null ? null : Number(value.toFixed(3))}
          keep={`bench/${seamId}/${quantity}`}
          step={step}
          follows
          onValue={(figure) => {
            if (figure !== null) move(figure);
          }}
          hint={
            changed ? (
              <>
                {t('view.simulator.was', { was: Number(was.toFixed(2)) })}
                <chakra.button
                  type="button"
                  color="accent"
                  fontWeight={600}
                  ms="1"
                  minHeight="24px"
                  cursor="pointer"
                  aria-label={t('view.simulator.put-back', { label })}
                  onClick={() => hand.putBack(quantity)}
                >
                  {t('view.simulator.reset')}
                </chakra.button>
              </>
            ) : undefined
          }
        />
      </Box>
      <chakra.input
        ref={slider}
        type="range"
        aria-label={t('view.simulator.slider', { label })}
        min={low}
        max={high}
        step={step}
        value={value ?? low}
        width="100%"
        minHeight="24px"
        accentColor="var(--chakra-colors-accent)"
        onChange={(event) => move(Number(event.target.value))}
      />
      {dial ? (
        <Box
          display="grid"
          gridTemplateColumns="44px minmax(0, 1fr) 44px"
          alignItems="center"
          order={{ base: -1, md: 0 }}
        >
          <Box gridColumn="1 / -1" fontSize="label" color="quiet" textAlign="center" lineHeight="1.2">
            {dial.label}
          </Box>
          <Action
            kind="quiet"
            px="0"
            aria-label={t('view.simulator.step-down', { dial: dial.label, what: inSentence(label) })}
            onClick={() => turn(-1)}
          >
            −
          </Action>
          <Box
            textStyle="figure"
            fontSize={{ base: 'lead', md: 'body', xl: 'lead' }}
            textAlign="center"
            whiteSpace="nowrap"
          >
            {dial.display}
          </Box>
          <Action
            kind="quiet"
            px="0"
            aria-label={t('view.simulator.step-up', { dial: dial.label, what: inSentence(label) })}
            onClick={() => turn(1)}
          >
            +
          </Action>
        </Box>
      ) : (
        <Box fontSize="label" color="quiet" minHeight="44px" textAlign="center" pt="2">
          {quantity === 'ctwdMm'
            ? t('view.simulator.your-hand')
            : t('view.simulator.no-dial', {
                machineName: machineName ?? absent,
              })}
        </Box>
      )}
    </Box>
  );
}
