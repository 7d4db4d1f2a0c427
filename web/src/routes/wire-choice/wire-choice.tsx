/** Which wire and gas suit this seam: ranked with reasons, ruled out with reasons, what the shop has, and what a change opens again. */
import { questionOf } from '@fox-tempo/core/site';
import { sameWire } from '@fox-tempo/core/metal/consumables';
import { t, format, formatIf } from '../../lib/words.ts';
import { Box } from '@chakra-ui/react';
import { type MachineResource, type SeamResource, type Stock } from '@fox-tempo/contract';
import { modeName } from '@fox-tempo/core/setting/plan';
import { wireWords } from '@fox-tempo/core/setting/wire-choice';
import { useMemo } from 'react';
import { useLoaderData } from 'react-router';
import { api } from '../../data/api.ts';
import { loadSeamAndMachines } from '../../sheet/load.ts';
import { useSheetSession } from '../../sheet/session.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Tick } from '../../ui/tick.tsx';
import { useSum } from '../../workers/use-sum.ts';
import { SheetFrame } from '../../parts/seam-frame/index.ts';
import { LineNumbers } from './line-numbers.tsx';
import { Ranked } from './ranked.tsx';
import { Retests } from './retests.tsx';

export async function loadWireChoice(args: Parameters<typeof loadSeamAndMachines>[0]) {
  const [loaded, stock] = await Promise.all([loadSeamAndMachines(args), api.stock(args.request.signal)]);
  return { ...loaded, stock };
}

export function WireChoice() {
  const { seam, machines, stock } = useLoaderData<Awaited<ReturnType<typeof loadWireChoice>>>();
  return <Choice key={seam.id} loaded={seam} machines={machines} stock={stock} />;
}

function Choice({
  loaded,
  machines,
  stock,
}: {
  readonly loaded: SeamResource;
  readonly machines: readonly MachineResource[];
  readonly stock: Stock;
}) {
  // The sheet's own draft: what is taken here stands there, unsaved, with its undo.
  const session = useSheetSession(loaded, machines);
  const { seam, sheet, site, store } = session;
  const { spec, choice } = sheet;
  const [wishes, setWishes] = useKeptForm(`wishes/${seam.id}`, { anodised: false, brazed: false });
  const ask = useMemo(() => ({ sheet, site, wishes }), [sheet, site, wishes]);
  const { answer: ranking, issues, retry } = useSum('ranking', ask);
  const request = useMemo(() => questionOf(spec, choice, site), [spec, choice, site]);
  const take = (change: Partial<typeof choice>) =>
    store.getState().edit(
      // A feed chosen for one wire says nothing about another.
      (now) => ({ ...now, choice: { ...now.choice, ...change, wireFeedMPerMin: null } }),
      t('view.wire-choice.wire-choice'),
    );
  const stocked = (
    test: (one: { filler?: string; diameterMm?: number; gas?: string; machineId: string | null }) => boolean,
  ) => {
    const where = [...stock.spools, ...stock.cylinders].filter(test);
    if (where.length === 0) return undefined;
    const onMachines = where.flatMap(
      (one) => machines.find((machine) => machine.id === one.machineId)?.file.name ?? [],
    );
    return onMachines.length > 0
      ? t('view.wire-choice.on', { onMachines: [...new Set(onMachines)] })
      : t('view.library.on-the-shelf');
  };
  return (
    <SheetFrame
      session={session}
      hasCard={false}
      title={t('view.wire-choice.title', { spec: spec.name })}
      line={[spec.grade, wireWords(choice.filler, choice.diameterMm)].filter(Boolean).map(format).join(' · ')}
    >
      {seam.revision && <Retests saved={seam.revision.program} choice={choice} />}
      {issues.length > 0 && (
        <Notice level="caution" word={t('view.wire-choice.not-ranked')} urgent>
          {formatIf(issues[0]?.message)}{' '}
          <Action kind="quiet" minHeight="32px" onClick={retry}>
            {t('view.wire-choice.rank-again')}
          </Action>
        </Notice>
      )}
      {!ranking ? (
        <Box color="quiet" role="status">
          {t('view.wire-choice.ranking')}
        </Box>
      ) : (
        <Box
          display="grid"
          gap="3"
          gridTemplateColumns={{ base: '1fr', lg: 'repeat(3, minmax(0, 1fr))' }}
          alignItems="start"
        >
          <Ranked
            title={t('view.library.filler')}
            rows={ranking.fillers}
            chosen={choice.filler}
            onTake={(filler) => take({ filler })}
            stockOf={(filler) => stocked((one) => one.filler === filler)}
          >
            {spec.materialGroup === 'aluminium' && (
              <Tick checked={wishes.anodised} onChange={(anodised) => setWishes({ ...wishes, anodised })}>
                {t('view.wire-choice.anodised')}
              </Tick>
            )}
            {(spec.materialGroup === 'steel' || spec.materialGroup === 'stainless') && (
              <Tick checked={wishes.brazed} onChange={(brazed) => setWishes({ ...wishes, brazed })}>
                {t('view.wire-choice.brazed')}
              </Tick>
            )}
          </Ranked>
          <Ranked
            title={t('view.library.size')}
            rows={ranking.sizes}
            chosen={choice.diameterMm}
            onTake={(diameterMm) => take({ diameterMm })}
            stockOf={(diameterMm) =>
              stocked(
                (one) =>
                  one.filler !== undefined &&
                  one.diameterMm !== undefined &&
                  sameWire({ filler: one.filler, diameterMm: one.diameterMm }, { filler: choice.filler, diameterMm }),
              )
            }
          />
          <Ranked
            title={t('view.wire-choice.gas-for', { mode: modeName(choice.mode) })}
            rows={ranking.gases}
            chosen={choice.gas}
            onTake={(gas) => take({ gas })}
            stockOf={(gas) => stocked((one) => one.gas === gas)}
          />
        </Box>
      )}
      <LineNumbers machines={machines} request={request} />
    </SheetFrame>
  );
}
