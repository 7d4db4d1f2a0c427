/** One dial of a machine in the table: its word, where it is, what it moves, its travel, where it stands, and what may be done with it. */
import { Box } from '@chakra-ui/react';
import { absent } from '@fox-tempo/core/base/messages';
import { displayed, isNumeric } from '@fox-tempo/core/machine/description';
import { senseWords } from '@fox-tempo/core/machine/dials';
import { measurable } from '@fox-tempo/core/machine/teaching';
import { format, formatIf, t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Cell } from '../../ui/table.tsx';
import type { FileDial } from './dial-values.ts';
import { isUntested, scaleWords } from './dial-words.ts';
import { ScalePicture } from './scale-picture.tsx';
import { hasSwingUnit } from './swing-test.tsx';

/** What is open under a dial. */
export type DialWork = 'edit' | 'test' | 'unit' | 'measure';

export function DialRow({
  dial,
  dials,
  stands,
  onOpen,
}: {
  readonly dial: FileDial;
  readonly dials: readonly FileDial[];
  /** Where it stands; undefined where nobody knows. */
  readonly stands: number | undefined;
  readonly onOpen: (what: DialWork) => void;
}) {
  const sense = isNumeric(dial.scale) ? senseWords(dial.scale) : undefined;
  const unitOf = t('view.machines.test.unit-of', { dial: dial.label });
  const acts: readonly { readonly what: DialWork; readonly label: string; readonly word: string }[] = [
    ...(isNumeric(dial.scale) && dial.senseTested !== undefined
      ? [
          {
            what: 'test' as const,
            label: t('view.machines.test.direction-of', { dial: dial.label }),
            word: t('view.machines.test.start'),
          },
        ]
      : []),
    ...(measurable(dial) ? [{ what: 'measure' as const, label: unitOf, word: t('view.machines.measure-a-unit') }] : []),
    ...(hasSwingUnit(dial) ? [{ what: 'unit' as const, label: unitOf, word: t('view.machines.test.unit') }] : []),
    { what: 'edit', label: t('view.machines.edit', { dial: dial.label }), word: t('view.machines.dial.edit') },
  ];
  return (
    <tr>
      <Cell head>
        {dial.label}
        <Box textStyle="label" color="quiet" fontWeight={400}>
          {[dial.where, dial.hand === 'fixed' ? t('view.machines.set-once') : ''].filter(Boolean).join('; ')}
        </Box>
      </Cell>
      <Cell minWidth={{ base: '140px', xl: '180px' }}>
        {scaleWords(dial, dials)}
        {sense !== undefined && (
          <Box textStyle="label" color="quiet">
            {format(sense)}
          </Box>
        )}
        {dial.evidence?.map((one) => (
          <Box textStyle="label" color="spruce" key={`${one.on}${one.result}`}>
            {t('view.machines.test.tested', {
              on: one.on,
              by: one.by,
              result:
                one.result === 'reversed' ? t('view.machines.test.reversed') : t('view.machines.test.as-described'),
              note: one.note ?? absent,
            })}
          </Box>
        ))}
        {isUntested(dial) && (
          <Box textStyle="label" color="ochre" fontWeight={600}>
            {t('view.machines.test.not-tested')}
          </Box>
        )}
      </Cell>
      <Cell>
        <ScalePicture scale={dial.scale} sense={formatIf(sense)} stands={stands} />
      </Cell>
      <Cell figure whiteSpace={isNumeric(dial.scale) ? 'nowrap' : 'normal'}>
        {stands === undefined ? '–' : displayed(dial.scale, stands)}
        <Box as="span" fontSize="label" color="quiet">
          {' '}
          {dial.unit}
        </Box>
      </Cell>
      <Cell pe="0" textAlign="end">
        <Box display="flex" flexDirection={{ base: 'column', xl: 'row' }} alignItems="end" justifyContent="end">
          {acts.map(({ what, label, word }) => (
            <Action key={what} kind="quiet" fontSize="small" aria-label={label} onClick={() => onOpen(what)}>
              {word}
            </Action>
          ))}
        </Box>
      </Cell>
    </tr>
  );
}
