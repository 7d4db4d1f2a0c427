/** What is only assumed of a new seam, each with its value, until somebody confirms it; and the question that the first save asks. */
import { Box } from '@chakra-ui/react';
import { assumedValue, type Assumable } from '../../sheet/assumed.ts';
import type { SheetSession } from '../../sheet/session.ts';
import { t, format } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Notice } from '../../ui/notice.tsx';

const names: Record<Assumable, string> = {
  lengthMm: t('view.seams.seam-length'),
  position: t('view.sheet.assumed-position'),
  gapMm: t('view.sheet.assumed-gap'),
  wire: t('view.sheet.assumed-wire'),
  gas: t('view.sheet.assumed-gas'),
};

export function AssumedLine({ session }: { readonly session: SheetSession }) {
  const { assumed, sheet, confirm, asksAssumed, save } = session;
  if (assumed.length === 0) return null;
  return (
    <Box
      role={asksAssumed ? 'alertdialog' : 'group'}
      aria-label={t('view.sheet.assumed')}
      gridColumn="1 / -1"
      display="grid"
      gap="2"
    >
      <Notice level="caution" word={t('view.sheet.assumed')} urgent={asksAssumed}>
        {asksAssumed ? t('view.sheet.save.assumed') : t('view.sheet.assumed-why')}
        <Box display="flex" gap="2" flexWrap="wrap" mt="1.5">
          {assumed.map((one) => (
            <Action
              key={one}
              fontSize="small"
              title={t('view.sheet.confirm-assumed', { name: names[one], value: assumedValue(one, sheet) })}
              onClick={() => confirm([one])}
            >
              {names[one]}: {format(assumedValue(one, sheet))} ✓
            </Action>
          ))}
          {asksAssumed && (
            <Action kind="main" onClick={() => void save(true)}>
              {t('view.sheet.all-right-save')}
            </Action>
          )}
        </Box>
      </Notice>
    </Box>
  );
}
