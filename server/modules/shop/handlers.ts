import { message } from '@fox-tempo/words';
import { type Handlers, Raw } from '../../http/endpoints.ts';
import { bundleHandlers } from './bundle.ts';
import type { Keeper } from '../../backup/keeper.ts';
import { staleVersion } from '../../http/version.ts';
import { readShop, updateShop } from './repo.ts';
import { shopState } from './state.ts';

export function shopHandlers(
  keeper: Keeper,
): Pick<Handlers, 'shop' | 'saveShop' | 'saveRates' | 'backup' | 'exportShop' | 'importBundle'> {
  return {
    ...bundleHandlers,
    shop: ({ db }) => shopState(db, keeper),
    saveShop: async ({ db, basedOn, body }) => {
      if (!(await updateShop(db, basedOn, body)))
        throw staleVersion(await readShop(db), body, message('server.shop.error.changed-meanwhile'));
      return shopState(db, keeper);
    },
    saveRates: async ({ db, basedOn, body }) => {
      if (!(await updateShop(db, basedOn, body)))
        throw staleVersion(await readShop(db), body, message('server.shop.error.changed-meanwhile'));
      return shopState(db, keeper);
    },
    backup: async ({ signal }) => {
      const { path, name, remove } = await keeper.make(signal);
      return new Raw((response) => {
        response.set('Cache-Control', 'no-store').download(path, name, () => void remove());
      });
    },
  };
}
