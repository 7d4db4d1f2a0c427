/** One program on two machines, line by line under the physical quantity, differences first. */
import { t, format, formatIf } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import type { MachineResource } from '@fox-tempo/contract';
import { compareMachines, whyNotWords, type ComparedLine, type DialSetting } from '@fox-tempo/core/machine/dials';
import { quantityText, type DialQuantity } from '@fox-tempo/core/machine/description';
import { useLoaderData, useSearchParams } from 'react-router';
import { api } from '../../data/api.ts';
import { ChoiceField } from '../../ui/choice-field.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Page } from '../../ui/page.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';

export async function loadCompare({ request }: { request: Request }) {
  const [machines, seams] = await Promise.all([api.machines(request.signal), api.seams(request.signal)]);
  return { machines: machines.filter((machine) => !machine.retired), seams: seams.filter((seam) => seam.revision) };
}

const ranks = {
  0: { words: t('view.compare.only-one'), sign: '✕', colour: 'ochre' },
  1: { words: t('view.compare.reaches-something-else'), sign: '◇', colour: 'ochre' },
  2: { words: t('view.compare.other-numbers'), sign: '●', colour: 'spruce' },
  3: { words: t('view.compare.same'), sign: '=', colour: 'quiet' },
} as const;

export function Compare() {
  const { machines, seams } = useLoaderData<Awaited<ReturnType<typeof loadCompare>>>();
  const [query, setQuery] = useSearchParams();
  const pick = <T extends { readonly id: string }>(list: readonly T[], key: string, otherwise: number) =>
    list.find((one) => one.id === query.get(key)) ?? list[otherwise] ?? list[0];
  const left = pick(machines, 'left', 0);
  const right = pick(machines, 'right', 1);
  const seam = pick(seams, 'seam', 0);
  const choose = (key: string) => (value: string) => {
    const next = new URLSearchParams(query);
    next.set(key, value);
    setQuery(next, { replace: true });
  };
  return (
    <Page title={t('view.compare.title')} line={seam ? `${seam.spec.name}, ${seam.partName}` : ''}>
      {!left || !right || !seam?.revision ? (
        <Notice level="note">{t('view.compare.needs-two')}</Notice>
      ) : (
        <>
          <Panel>
            <Box display="grid" gridTemplateColumns={{ base: '1fr', md: 'repeat(3, 1fr)' }} gap="2.5">
              <ChoiceField
                label={t('view.compare.program')}
                value={seam.id}
                choices={seams.map((one) => ({ value: one.id, label: `${one.spec.name}, ${one.partName}` }))}
                onChange={choose('seam')}
              />
              <ChoiceField
                label={t('view.compare.left')}
                value={left.id}
                choices={named(machines)}
                onChange={choose('left')}
              />
              <ChoiceField
                label={t('view.compare.right')}
                value={right.id}
                choices={named(machines)}
                onChange={choose('right')}
              />
            </Box>
          </Panel>
          <Sides left={left} right={right} program={seam.revision.program} />
        </>
      )}
    </Page>
  );
}

function named(machines: readonly MachineResource[]) {
  return machines.map(({ id, file }) => ({ value: id, label: `${file.name}, ${file.place}` }));
}

function Sides({
  left,
  right,
  program,
}: {
  readonly left: MachineResource;
  readonly right: MachineResource;
  readonly program: Parameters<typeof compareMachines>[2];
}) {
  const { left: one, right: two, lines } = compareMachines(left.file, right.file, program);
  const lost = [
    { file: left.file, list: one.notCarried, cannot: one.cannot },
    { file: right.file, list: two.notCarried, cannot: two.cannot },
  ];
  return (
    <>
      <Panel title={t('view.compare.line-by-line')}>
        <Table label={t('view.compare.heading')}>
          <Heads
            names={[t('view.compare.quantity'), left.file.name, right.file.name, t('view.compare.apart'), '']}
            right={[left.file.name, right.file.name, t('view.compare.apart')]}
          />
          <tbody>
            {lines.map((line) => (
              <Row key={line.quantity} line={line} />
            ))}
          </tbody>
        </Table>
      </Panel>
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', lg: '1fr 1fr' }}>
        {lost.map(({ file, list, cannot }, side) => (
          <Panel key={side} title={t('view.compare.cannot-be-set', { name: file.name })}>
            {cannot && <Notice level="refusal">{format(whyNotWords(file, program, cannot))}</Notice>}
            {list.length === 0 && !cannot && (
              <Box color="spruce" fontSize="text">
                {t('view.compare.all-can-be-set')}
              </Box>
            )}
            {list.length > 0 && (
              <Box as="ul" ps="4" listStyleType="disc" fontSize="text">
                {list.map(({ quantity, what, nearest }) => (
                  <Box as="li" key={quantity} py="0.5">
                    {t('view.compare.nearest', { what, nearest })}
                  </Box>
                ))}
              </Box>
            )}
          </Panel>
        ))}
      </Box>
    </>
  );
}

function Row({ line }: { readonly line: ComparedLine }) {
  const rank = ranks[line.rank];
  return (
    <tr>
      <Cell head>{format(line.name)}</Cell>
      <Side setting={line.left} />
      <Side setting={line.right} />
      <Cell figure>
        {line.apart === undefined
          ? ''
          : `${line.apart > 0 ? '+' : ''}${format(quantityText(line.quantity as DialQuantity, line.apart))}`}
      </Cell>
      <Cell color={rank.colour} fontSize="small" pe="0">
        {rank.sign} {rank.words}
      </Cell>
    </tr>
  );
}

function Side({ setting }: { readonly setting: DialSetting | null }) {
  if (!setting) {
    return (
      <Cell figure color="quiet">
        –
      </Cell>
    );
  }
  return (
    <Cell figure>
      <Box
        as="span"
        fontSize="label"
        color="quiet"
        display="block"
        fontFamily="body"
        lineHeight="1.2"
        whiteSpace="normal"
      >
        {setting.label}
        {[setting.level, setting.sense].filter(Boolean).map((words) => `, ${format(formatIf(words) ?? '')}`)}
      </Box>
      <Box as="span" fontSize="title">
        {setting.display}
      </Box>
      <Box as="span" fontSize="label" color="quiet">
        {' '}
        {setting.unit}
      </Box>
    </Cell>
  );
}
