/** What the shop works with: fillers, gases, metals, what is in stock, and what every machine calls the same thing. */
import { t } from '../../lib/words.ts';
import { useLoaderData, useParams } from 'react-router';
import { api } from '../../data/api.ts';
import { PageHead } from '../../ui/page-head.tsx';
import { Shelves } from '../../ui/shelves.tsx';
import { Fillers } from './fillers.tsx';
import { Gases } from './gases.tsx';
import { Metals } from './metals.tsx';
import { StockShelf } from './stock.tsx';
import { Words } from './words.tsx';
import { Main } from '../../ui/main.tsx';

export async function loadLibrary({ request }: { request: Request }) {
  const [machines, stock, seams] = await Promise.all([
    api.machines(request.signal),
    api.stock(request.signal),
    api.seams(request.signal),
  ]);
  return { machines: machines.filter((machine) => !machine.retired), stock, seams };
}

export function Library() {
  const { machines, stock, seams } = useLoaderData<Awaited<ReturnType<typeof loadLibrary>>>();
  const { shelf = 'fillers' } = useParams();
  return (
    <>
      <PageHead title={t('view.app.library')} line={t('view.library.title')} />
      <Shelves
        label={t('view.library.sections')}
        shelves={[
          { to: '/library', name: t('view.palette.fillers') },
          { to: '/library/gases', name: t('view.palette.gases') },
          { to: '/library/metals', name: t('view.palette.metals') },
          { to: '/library/stock', name: t('view.palette.stock') },
          { to: '/library/words', name: t('view.palette.words') },
        ]}
      />
      <Main>
        {shelf === 'gases' ? (
          <Gases />
        ) : shelf === 'metals' ? (
          <Metals />
        ) : shelf === 'stock' ? (
          <StockShelf loaded={stock} machines={machines} seams={seams} />
        ) : shelf === 'words' ? (
          <Words machines={machines} />
        ) : (
          <Fillers />
        )}
      </Main>
    </>
  );
}
