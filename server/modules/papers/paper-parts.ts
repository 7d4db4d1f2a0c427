/** What the printed pages share: inks, rules and tables. */
import type { Content, CustomTableLayout, TableCell } from 'pdfmake/interfaces.js';

export const ink = '#25211B';
export const quiet = '#6A6053';
export const line = '#DCD2BF';
export const russet = '#A8431C';

export const ruled: CustomTableLayout = {
  hLineWidth: (at) => (at === 0 ? 0 : 0.6),
  vLineWidth: () => 0,
  hLineColor: () => line,
  paddingTop: () => 1.8,
  paddingBottom: () => 1.8,
  paddingLeft: () => 0,
  paddingRight: () => 6,
};

export const heading = (text: string): Content => ({ text, bold: true, fontSize: 10.5, margin: [0, 8, 0, 2] });

export const headCells = (names: readonly string[]): TableCell[] =>
  names.map((text) => ({ text, color: quiet, fontSize: 7.5 }));

/** A page of record: its size and what every one of them says at its foot. */
export function recordPage(paper: 'A4' | 'LETTER', title: string, foot: string) {
  return {
    pageSize: paper,
    pageMargins: [40, 36, 40, 46] as [number, number, number, number],
    info: { title, creator: 'Fox Tempo' },
    defaultStyle: { font: 'Roboto', fontSize: 8.5, color: ink },
    footer: (page: number, pages: number): Content => ({
      margin: [40, 10, 40, 0],
      fontSize: 7,
      color: quiet,
      columns: [{ text: foot }, { text: `${page}/${pages}`, alignment: 'right', width: 40 }],
    }),
  };
}
