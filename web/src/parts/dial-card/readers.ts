/** Who may be given a card: people of the shop who read otherwise than this page. */
import type { SessionState } from '@fox-tempo/contract';
import { isLanguage, written } from '@fox-tempo/words';
import type { Reader } from '../../data/api.ts';
import { t } from '../../lib/words.ts';

export interface ReaderChoice {
  readonly value: string;
  readonly label: string;
  readonly reader: Reader;
}

export function readersOf(people: SessionState['people'], own: Reader): ReaderChoice[] {
  return people.flatMap(({ id, name, language, units }) => {
    const reader: Reader = { language: isLanguage(language) ? language : own.language, units: units ?? own.units };
    if (reader.language === own.language && reader.units === own.units) return [];
    const label = t('view.dial-card.reader', {
      name,
      language: written[reader.language].name,
      units: reader.units === 'metric' ? t('view.app.metric') : t('view.app.us'),
    });
    return [{ value: id, label, reader }];
  });
}
