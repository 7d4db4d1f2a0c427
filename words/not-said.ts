/** Words that are not used for a term, per language: patterns of whole words, without regard to case. A test walks every catalogue by them. */
import type { Language } from './languages.ts';
import type { TermId } from './terms.ts';

export const notSaid: Readonly<Partial<Record<TermId, Readonly<Partial<Record<Language, readonly string[]>>>>>> = {
  seam: { es: ['costuras?'] },
  'test-weld': { en: ['trials?'] },
  welder: { en: ['hand too fast', 'hand too slow', 'a hand on'] },
  'travel-speed': { en: ['paces?'], es: ['ritmos?'], pl: ['tempo ręki'] },
  'arc-length-trim': { de: ['Bogenkorrektur'] },
  'transfer-mode': { en: ['ways? to transfer'], es: ['spray por gotas'] },
  'peak-current': {
    en: ['fast peak'],
    de: ['schnelle[rn]? Spitze'],
    es: ['pico rápido'],
    pl: ['szybk\\w+ szczyt\\w*'],
  },
  'background-current': { en: ['fast background'], es: ['base rápida'], pl: ['szybk\\w+ prąd\\w* bazy'] },
  'pulse-frequency': {
    en: ['fast pulse rate'],
    de: ['schnelle Pulsfrequenz'],
    es: ['pulso rápido'],
    pl: ['szybki puls\\w*', 'szybkich puls\\w*'],
  },
  'double-pulse': {
    en: ['slow beats?', 'slow rate'],
    de: ['langsame[rn]? Takte?', 'langsame Frequenz'],
    es: ['ritmo lento', 'frecuencia lenta'],
    pl: ['woln\\w+ takt\\w*'],
  },
  polarity: { en: ['(?<!both )poles'], de: ['Pole'], es: ['polos'], pl: ['bieguny'] },
  cylinder: { en: ['bottle change'] },
  'trigger-sequence': { en: ['scores?'], de: ['Partitur\\w*', 'Tipps?'], es: ['partituras?'], pl: ['partytur\\w*'] },
  'arc-simulator': { en: ['arc bench'], de: ['Bogenbank'], es: ['banco de arco'], pl: ['stół łuku', 'stole łuku'] },
  'at-the-machine': { en: ['bench mode'], de: ['Werkbankansicht', 'Werkbankmodus'] },
  'machine-simulator': { en: ['stand-ins?'], de: ['Ersatzgerät\\w*'] },
  dial: { de: ['Regler[ns]?'] },
  'is-set-to': {
    en: [
      'cannot be said',
      'can be said',
      'is said in',
      'is said on',
      'stands as needed',
      'as it stands',
      'not to be had',
    ],
    pl: ['rozjechan\\w+'],
  },
  dismiss: { en: ['put away', 'put it away'] },
  'procedure-sheet': { de: ['Verfahrensblatt\\w*'] },
  isolate: { es: ['aísl\\w+', 'aislar'] },
};
