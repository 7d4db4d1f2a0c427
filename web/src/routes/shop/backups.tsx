/** The shop's name and time zone, the disk, the nightly backups, and a backup to take away. */
import { amount } from '@fox-tempo/core/base/messages';
import { t } from '../../lib/words.ts';
import { RecordTroubles } from '../../ui/forms/record-troubles.tsx';
import { FormChoice, FormText } from '../../ui/forms/fields.tsx';
import { useRecordForm } from '../../ui/forms/record-form.ts';
import { thicknessRules } from '@fox-tempo/core/setting/plan';
import { Box } from '@chakra-ui/react';
import { parseWith, type Problem, problemKind, shopSave, type ShopState } from '@fox-tempo/contract';
import { useRevalidator } from 'react-router';
import { api, ProblemError } from '../../data/api.ts';
import { download } from '../../lib/download.ts';
import { useMay } from '../../session/session.ts';
import { shopDay, shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Refused } from '../../ui/refused.tsx';
import { Cell, Heads, Table } from '../../ui/table.tsx';
import { MayNot } from './may-not.tsx';
import { addressOf } from '../../data/address.ts';

export function Backups({ shop }: { readonly shop: ShopState }) {
  return (
    <>
      <ShopFields key={shop.version} shop={shop} />
      <Network shop={shop} />
      <Panel title={t('view.palette.backup')}>
        <Box fontSize="text" mb="3" maxWidth="64ch">
          {t('view.shop.backup-why')}{' '}
          <Box as="code" fontFamily="mono" fontSize="small">
            {t('view.shop.restore-command')}
          </Box>
        </Box>
        <TakeBackup />
        {shop.backupTrouble !== null && (
          <Box mt="3">
            <Notice level="caution" word={t('view.shop.backup-missing')}>
              {shop.backupTrouble}
            </Notice>
          </Box>
        )}
        <Nights shop={shop} />
      </Panel>
    </>
  );
}

/** Whether telephones and tablets in the shop reach it, and what to compare where a browser warns. */
function Network({ shop: { lan } }: { readonly shop: ShopState }) {
  return (
    <Panel title={t('view.shop.network')}>
      <Box fontSize="text" maxWidth="64ch">
        {lan ? t('view.shop.network-open', { origin: lan.origin }) : t('view.shop.network-closed')}
      </Box>
      {lan && (
        <>
          <Box fontSize="small" color="quiet" mt="2" maxWidth="64ch">
            {t('view.shop.network-certificate')}
          </Box>
          <Box fontFamily="mono" fontSize="small" mt="1" overflowWrap="anywhere">
            {lan.fingerprint}
          </Box>
        </>
      )}
    </Panel>
  );
}

function ShopFields({ shop }: { readonly shop: ShopState }) {
  const may = useMay('saveShop');
  const { revalidate } = useRevalidator();
  const record = useRecordForm({
    keep: 'shop',
    labels: {
      name: t('view.seams.name'),
      timeZone: t('view.shop.time-zone'),
      thicknessRule: t('view.shop.thickness-rule'),
    },
    parse: (value) => parseWith(shopSave, value),
    stored: shop,
    values: (stored: ShopState | null) => ({
      name: stored?.name ?? '',
      timeZone: stored?.timeZone ?? 'Etc/UTC',
      thicknessRule: stored?.thicknessRule ?? 'leaning',
    }),
    write: (body, basedOn) => api.saveShop(basedOn, body),
    onSaved: async () => {
      await revalidate();
    },
  });
  const zones = [...new Set([shop.timeZone, ...Intl.supportedValuesOf('timeZone')])];
  return (
    <Panel title={t('view.shop.the-shop')} aside={may ? undefined : <MayNot act="saveShop" />}>
      <Box display="grid" gap="3" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr 1fr auto' }} alignItems="start">
        <FormText of={record} name="name" />
        <FormChoice of={record} name="timeZone" choices={zones.map((zone) => ({ value: zone, label: zone }))} />
        <FormChoice
          of={record}
          name="thicknessRule"
          choices={thicknessRules.map(({ rule, words }) => ({ value: rule, label: words }))}
        />
        {may && (
          <Action
            kind="main"
            mt="18px"
            disabled={record.busy || !record.isChanged}
            onClick={() => void record.submit()}
          >
            {t('view.library.save')}
          </Action>
        )}
      </Box>
      {shop.diskFreeBytes !== null && (
        <Box mt="3" fontSize="small" color={shop.diskIsLow ? 'ochre' : 'quiet'}>
          {shop.diskIsLow && '◇ '}
          {t('view.shop.disk-free', {
            free: amount('plain', shop.diskFreeBytes / 1e9, 1),
          })}
        </Box>
      )}
      <RecordTroubles of={record} word={t('view.library.not-saved')} />
    </Panel>
  );
}

function TakeBackup() {
  const may = useMay('backup');
  const task = useTask();
  if (!may) return <MayNot act="backup" />;
  return (
    <>
      <Action
        kind="main"
        disabled={task.busy}
        onClick={() =>
          void task.run(async () =>
            download(`shop ${shopDay()}.foxbackup`, 'application/octet-stream', await takeBackup()),
          )
        }
      >
        {task.busy ? t('view.shop.backup-writing') : t('view.shop.backup-now')}
      </Action>
      <Refused task={task} word={t('view.machines.not-made')} />
    </>
  );
}

/** The one answer that is a file and no JSON. */
async function takeBackup(): Promise<Blob> {
  const response = await fetch(addressOf('backup'), { method: 'POST' });
  if (response.ok) return response.blob();
  const problem = (await response.json()) as Problem;
  throw new ProblemError(problemKind(problem), problem);
}

function Nights({ shop: { backups } }: { readonly shop: ShopState }) {
  if (backups === null) {
    return (
      <Box mt="3">
        <Notice level="note">{t('view.shop.backup-elsewhere')}</Notice>
      </Box>
    );
  }
  return (
    <Box mt="4">
      <Box fontSize="small" color="quiet" mb="1">
        {t('view.shop.backup-nightly')}
      </Box>
      {backups.length === 0 ? (
        <Notice level="note">{t('view.shop.backup-none')}</Notice>
      ) : (
        <Table label={t('view.shop.backups')}>
          <Heads
            names={[t('view.shop.file'), t('view.shop.made'), t('view.library.size')]}
            right={[t('view.library.size')]}
          />
          <tbody>
            {backups.map((one) => (
              <tr key={one.name}>
                <Cell fontFamily="mono" fontSize="label">
                  {one.name}
                </Cell>
                <Cell>{shopTime(one.madeAt)}</Cell>
                <Cell figure>{t('view.shop.mb', { bytes: amount('plain', one.bytes / 1e6, 1) })}</Cell>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
    </Box>
  );
}
