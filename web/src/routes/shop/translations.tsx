/** Where a native reader confirms or corrects the texts of the language this page is in, hazards first, and exports what was read. */
import { chakra, Box } from '@chakra-ui/react';
import type { WordReview } from '@fox-tempo/contract';
import { written, type Language } from '@fox-tempo/words';
import { useEffect, useMemo, useState } from 'react';
import { api } from '../../data/api.ts';
import { useEndpoint } from '../../data/queries.ts';
import { download } from '../../lib/download.ts';
import type { ShippedTexts } from '../../lib/load-words.ts';
import { useMay } from '../../session/session.ts';
import { shopDay, shopTime } from '../../lib/time.ts';
import { useTask } from '../../lib/use-task.ts';
import { spoken, t } from '../../lib/words.ts';
import { Action } from '../../ui/action.tsx';
import { Field, inputLook } from '../../ui/field.tsx';
import { useKeptText } from '../../ui/kept-text.ts';
import { Notice } from '../../ui/notice.tsx';
import { Panel } from '../../ui/panel.tsx';
import { Refused } from '../../ui/refused.tsx';
import { TextField } from '../../ui/text-field.tsx';
import { MayNot } from './may-not.tsx';

/** More than these are found by their words. */
const mostShown = 40;

interface Row {
  readonly key: string;
  readonly english: string;
  readonly text: string;
  /** Whether a reader changed what ships with this version. */
  readonly isCorrected: boolean;
  readonly isHazard: boolean;
  readonly review: WordReview | undefined;
}

type Load = (language: Language) => Promise<ShippedTexts>;

/** Where the catalogues lie is known to the build alone. */
const loadShipped: Load = async (language) => (await import('../../lib/load-words.ts')).shippedTexts(language);

export function Translations({ load = loadShipped }: { readonly load?: Load }) {
  const { language } = spoken();
  return (
    <Panel title={t('view.words.title')}>
      <Box fontSize="text" mb="3" maxWidth="72ch">
        {t('view.words.why')}
      </Box>
      {language === 'en' ? (
        <Notice level="note">{t('view.words.english-page')}</Notice>
      ) : (
        <TextsOf language={language} load={load} />
      )}
    </Panel>
  );
}

function TextsOf({ language, load }: { readonly language: Language; readonly load: Load }) {
  const may = useMay('reviewWord');
  const [shipped, setShipped] = useState<ShippedTexts | null>(null);
  const [sought, setSought] = useState('');
  const { data } = useEndpoint('wordReviews', { params: { language } });
  useEffect(() => void load(language).then(setShipped), [language, load]);
  const rows = useMemo(() => (shipped && data ? rowsOf(shipped, data.reviews) : null), [shipped, data]);
  if (!rows) return <Box color="quiet">{t('view.app.loading')}</Box>;
  const left = rows.filter(({ isHazard, review }) => isHazard && !review).length;
  const wanted = sought.trim().toLowerCase();
  const found = wanted === '' ? rows : rows.filter((row) => saysOf(row).includes(wanted));
  return (
    <>
      <Box display="flex" gap="3" alignItems="center" flexWrap="wrap" mb="3">
        <Box flex="1" minWidth="260px">
          <TextField
            label={t('view.words.find')}
            hint={t('view.words.find-hint')}
            value={sought}
            onChange={setSought}
          />
        </Box>
        <Action
          disabled={(data?.reviews.length ?? 0) === 0}
          onClick={() =>
            download(
              `fox-tempo words ${language} ${shopDay()}.json`,
              'application/json',
              JSON.stringify({ format: 'fox-tempo/words', version: 1, language, reviews: data?.reviews }, null, 2),
            )
          }
        >
          {t('view.words.export')}
        </Action>
        {!may && <MayNot act="reviewWord" />}
      </Box>
      <Box textStyle="label" color="quiet" mb="2" role="status">
        {t('view.words.hazards-left', { count: left })} ·{' '}
        {t('view.words.shown', { shown: Math.min(found.length, mostShown), all: found.length })}
      </Box>
      {found.length === 0 && t('view.words.none')}
      <Box as="ul" listStyleType="none">
        {found.slice(0, mostShown).map((row) => (
          <Text key={row.key} row={row} language={language} may={may} />
        ))}
      </Box>
    </>
  );
}

function Text({ row, language, may }: { readonly row: Row; readonly language: Language; readonly may: boolean }) {
  const { key, english, text, isHazard, isCorrected, review } = row;
  const task = useTask();
  const [draft, setDraft] = useKeptText(`words/${language}/${key}`);
  const [isNew, setIsNew] = useState(false);
  const send = (said: string) =>
    void task
      .run(() => api.reviewWord(language, { key, text: said }))
      .then((went) => {
        if (!went) return;
        setDraft(null);
        setIsNew(said !== text);
      });
  return (
    <Box as="li" borderTopWidth="1px" borderColor="line" py="2.5" data-text={key}>
      <Box display="flex" gap="2" flexWrap="wrap" textStyle="label" color="quiet" mb="1">
        <Box as="span" color={isHazard ? 'ochre' : 'quiet'}>
          {isHazard ? `▲ ${t('view.ui.hazard')}` : '○'}
        </Box>
        <Box as="span" fontFamily="mono">
          {key}
        </Box>
        <Box as="span" color={review ? 'spruce' : 'quiet'}>
          {review
            ? `● ${t(isCorrected ? 'view.words.corrected' : 'view.words.confirmed', { by: review.by, at: shopTime(review.at) })}`
            : `◇ ${t('view.words.not-confirmed')}`}
        </Box>
      </Box>
      <Box display="grid" gridTemplateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="3">
        <Box lang="en" color="quiet" fontSize="text">
          {english}
        </Box>
        {draft === null ? (
          <Box fontSize="text">{text}</Box>
        ) : (
          <Field label={t('view.words.text', { language: written[language].name })}>
            {({ id, describedBy }) => (
              <chakra.textarea
                id={id}
                {...inputLook}
                height="auto"
                rows={4}
                value={draft}
                maxLength={2000}
                aria-describedby={describedBy}
                onChange={(event) => setDraft(event.target.value)}
              />
            )}
          </Field>
        )}
      </Box>
      {may && (
        <Box display="flex" gap="2" mt="2">
          {draft === null ? (
            <>
              <Action disabled={task.busy} onClick={() => send(text)}>
                {t('view.words.confirm')}
              </Action>
              <Action kind="quiet" disabled={task.busy} onClick={() => setDraft(text)}>
                {t('view.words.correct')}
              </Action>
            </>
          ) : (
            <>
              <Action disabled={task.busy || draft.trim() === ''} onClick={() => send(draft)}>
                {t('view.words.save')}
              </Action>
              <Action kind="quiet" onClick={() => setDraft(null)}>
                {t('view.library.cancel')}
              </Action>
            </>
          )}
        </Box>
      )}
      {isNew && (
        <Box textStyle="label" color="spruce" role="status" mt="1">
          {t('view.words.reload')}
        </Box>
      )}
      <Refused task={task} word={t('view.words.not-saved')} />
    </Box>
  );
}

function saysOf({ key, english, text }: Row): string {
  return `${key}\n${english}\n${text}`.toLowerCase();
}

/** Hazards that nobody confirmed, then those that somebody did, then everything else. */
function rowsOf({ english, own, hazards }: ShippedTexts, reviews: readonly WordReview[]): Row[] {
  const read = new Map(reviews.map((one) => [one.key, one]));
  const rows = Object.keys(english).map((key): Row => {
    const review = read.get(key);
    return {
      key,
      english: english[key] ?? '',
      text: review?.text ?? own[key] ?? '',
      isCorrected: review !== undefined && review.text !== own[key],
      isHazard: Object.hasOwn(hazards, key),
      review,
    };
  });
  const rank = (row: Row) => (row.isHazard ? (row.review ? 1 : 0) : 2);
  return rows.sort((a, b) => rank(a) - rank(b));
}
