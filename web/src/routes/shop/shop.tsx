/** The shop: its people, what it makes, what was recorded, its files and its backups. */
import { t } from '../../lib/words.ts';
import { useLoaderData, useParams } from 'react-router';
import { api } from '../../data/api.ts';
import { PageHead } from '../../ui/page-head.tsx';
import { Shelves } from '../../ui/shelves.tsx';
import { Backups } from './backups.tsx';
import { Files } from './files.tsx';
import { Orders } from './orders.tsx';
import { Parts } from './parts.tsx';
import { People } from './people.tsx';
import { Record } from './record.tsx';
import { Translations } from './translations.tsx';
import { Main } from '../../ui/main.tsx';

export async function loadShop({ request }: { request: Request }) {
  const [shop, people, parts, orders] = await Promise.all([
    api.shop(request.signal),
    api.people(request.signal),
    api.parts(request.signal),
    api.orders(request.signal),
  ]);
  return { shop, people, parts, orders };
}

export function Shop() {
  const { shop, people, parts, orders } = useLoaderData<Awaited<ReturnType<typeof loadShop>>>();
  const { part = 'people' } = useParams();
  return (
    <>
      <PageHead title={shop.name} line={shop.demo ? t('view.shop.demo') : t('view.shop.title')} />
      <Shelves
        label={t('view.shop.sections')}
        shelves={[
          { to: '/shop', name: t('view.palette.people') },
          { to: '/shop/orders', name: t('view.palette.orders') },
          { to: '/shop/parts', name: t('view.palette.parts') },
          { to: '/shop/record', name: t('view.palette.record') },
          { to: '/shop/files', name: t('view.seams.files') },
          {
            to: '/shop/backup',
            name: t('view.shop.shop-and-backup'),
            mark: shop.diskIsLow || shop.backupTrouble ? '◇' : undefined,
          },
          { to: '/shop/words', name: t('view.words.title') },
        ]}
      />
      <Main>
        {part === 'orders' ? (
          <Orders orders={orders} parts={parts} />
        ) : part === 'parts' ? (
          <Parts parts={parts} />
        ) : part === 'record' ? (
          <Record />
        ) : part === 'files' ? (
          <Files parts={parts} />
        ) : part === 'backup' ? (
          <Backups shop={shop} />
        ) : part === 'words' ? (
          <Translations />
        ) : (
          <People people={people} />
        )}
      </Main>
    </>
  );
}
