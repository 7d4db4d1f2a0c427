/** Under a record form: what the server said, and both versions where somebody saved in between. */
import { t } from '../../lib/words.ts';
import { Box, Heading } from '@chakra-ui/react';
import type { FieldValues } from 'react-hook-form';
import { Action } from '../action.tsx';
import { Notice } from '../notice.tsx';
import { Cell, Heads, Table } from '../table.tsx';
import type { RecordForm } from './record-form.ts';

export function RecordTroubles<V extends FieldValues, D>({
  of,
  word,
  says = {},
}: {
  readonly of: RecordForm<V, D>;
  readonly word: string;
  /** Words for what a field holds, where that is a code. */
  readonly says?: Partial<Record<keyof V & string, (value: unknown) => string>>;
}) {
  const { conflict, problem, question, answerYes, answerNo, form, labels, valuesOf, keepMine, takeTheirs } = of;
  const root = form.formState.errors.root?.message ?? problem;
  const mine = form.getValues();
  const theirs = conflict && valuesOf(conflict);
  const said = (name: string, value: unknown) =>
    says[name]?.(value) ?? (typeof value === 'string' ? value : JSON.stringify(value ?? ''));
  const differing = theirs
    ? Object.keys(labels).filter((name) => said(name, mine[name]) !== said(name, theirs[name]))
    : [];
  return (
    <>
      {root !== undefined && root !== null && (
        <Box mt="3">
          <Notice level="refusal" word={word} urgent>
            {root}
          </Notice>
        </Box>
      )}
      {question !== null && (
        <Box role="alertdialog" aria-label={t('view.ui.a-question-first')} mt="3" display="grid" gap="2">
          <Notice level="caution" word={t('view.ui.a-question-first')}>
            {question}
          </Notice>
          <Box display="flex" gap="2" flexWrap="wrap">
            <Action kind="main" disabled={of.busy} onClick={() => void answerYes()}>
              {t('view.outbox.all-the-same')}
            </Action>
            <Action onClick={answerNo}>{t('view.today.count-no')}</Action>
          </Box>
        </Box>
      )}
      {theirs && (
        <Box
          role="alertdialog"
          aria-label={t('view.ui.two-versions')}
          bg="ochreSoft"
          borderWidth="1px"
          borderColor="ochre"
          p="3"
          mt="3"
        >
          <Heading as="h3" textStyle="heading" mb="1">
            {t('view.ui.conflict')}
          </Heading>
          {differing.length === 0 ? (
            <Box fontSize="small">{t('view.seam-frame.conflict.same')}</Box>
          ) : (
            <Table label={t('view.ui.stored-against-yours')}>
              <Heads names={[t('view.seam-frame.line'), t('view.ui.stored-now'), t('view.seam-frame.yours')]} />
              <tbody>
                {differing.map((name) => (
                  <tr key={name}>
                    <Cell head>{labels[name]}</Cell>
                    <Cell>{said(name, theirs[name])}</Cell>
                    <Cell>{said(name, mine[name])}</Cell>
                  </tr>
                ))}
              </tbody>
            </Table>
          )}
          <Box display="flex" gap="2" mt="2" flexWrap="wrap">
            <Action kind="main" disabled={of.busy} onClick={() => void keepMine()}>
              {t('view.ui.overwrite')}
            </Action>
            <Action onClick={takeTheirs}>{t('view.seam-frame.conflict.take-stored')}</Action>
          </Box>
        </Box>
      )}
    </>
  );
}
