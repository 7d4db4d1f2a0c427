/** What an hour, a kilogram and a cubic metre cost in this shop; without them everything is counted in amounts. */
import { Box } from '@chakra-ui/react';
import type { ShopState } from '@fox-tempo/contract';
import { commonGasCodes, fillers, gasName } from '@fox-tempo/core/metal/consumables';
import { useRevalidator } from 'react-router';
import { api } from '../../data/api.ts';
import { useMay } from '../../session/session.ts';
import { useTask } from '../../lib/use-task.ts';
import { t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { useKeptForm } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { ValueField } from '../../ui/value-field.tsx';

type Rates = NonNullable<ShopState['rates']>;

export function RatesForm({ shop }: { readonly shop: ShopState }) {
  const may = useMay('saveRates');
  const task = useTask();
  const { revalidate } = useRevalidator();
  const stored: Rates = shop.rates ?? { currency: '€' };
  const keep = `rates/${shop.version}`;
  const [rates, setRates, forget] = useKeptForm<Rates>(keep, stored);
  if (!may) return null;
  const set = (change: Partial<Rates>) => setRates({ ...rates, ...change });
  const price = (value: number | null) => value ?? undefined;
  const field = (
    label: string,
    value: number | undefined,
    name: string,
    onValue: (value: number | undefined) => void,
  ) => (
    <ValueField
      key={name}
      label={label}
      of="plain"
      value={value ?? null}
      keep={`${keep}/${name}`}
      range={[0, 100_000]}
      optional
      onValue={(next) => onValue(price(next))}
    />
  );
  const without = (list: object | undefined, key: string, value: number | undefined) =>
    Object.fromEntries(Object.entries({ ...list, [key]: value }).filter(([, one]) => one !== undefined)) as Record<
      string,
      number
    >;
  return (
    <Panel title={t('view.costs.rates')}>
      <Box display="grid" gap="2.5" gridTemplateColumns="repeat(auto-fill, minmax(190px, 1fr))" alignItems="start">
        <TextField
          label={t('view.costs.currency')}
          value={rates.currency}
          maxLength={8}
          onChange={(currency) => set({ currency })}
        />
        {field(t('view.costs.rate-hour'), rates.labourPerHour, 'labour', (labourPerHour) => set({ labourPerHour }))}
        {field(t('view.costs.a-kilowatt-hour'), rates.energyPerKwh, 'energy', (energyPerKwh) => set({ energyPerKwh }))}
        {field(t('view.costs.a-contact-tip'), rates.tip, 'tip', (tip) => set({ tip }))}
        {fillers.map(({ code, name }) =>
          field(t('view.costs.rate-wire', { wire: name }), rates.wirePerKg?.[code], code, (value) =>
            set({ wirePerKg: without(rates.wirePerKg, code, value) }),
          ),
        )}
        {commonGasCodes
          .filter((code) => code !== 'none')
          .map((code) =>
            field(t('view.costs.rate-gas', { gas: gasName(code) }), rates.gasPerM3?.[code], code, (value) =>
              set({ gasPerM3: without(rates.gasPerM3, code, value) }),
            ),
          )}
      </Box>
      {task.problem !== null && <Notice level="refusal">{task.problem}</Notice>}
      <Box display="flex" gap="2" mt="2" flexWrap="wrap">
        <Action
          kind="main"
          disabled={task.busy || JSON.stringify(rates) === JSON.stringify(shop.rates)}
          onClick={() =>
            void task.run(async () => {
              // What was emptied is left out.
              await api.saveRates(shop.version, { rates: JSON.parse(JSON.stringify(rates)) as Rates });
              forget();
              await revalidate();
            })
          }
        >
          {t('view.library.save')}
        </Action>
        <Action disabled={JSON.stringify(rates) === JSON.stringify(stored)} onClick={forget}>
          {t('view.machines.back-to-saved')}
        </Action>
      </Box>
    </Panel>
  );
}
