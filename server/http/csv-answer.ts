/** A CSV table as a file to save. The byte order mark tells a spreadsheet that it is UTF-8. */
import { Raw } from './endpoints.ts';

export const csvAnswer = (fileName: string, table: string) =>
  new Raw((response) =>
    response
      .type('text/csv; charset=utf-8')
      .set('Content-Disposition', `attachment; filename="${fileName}"`)
      .send(`\uFEFF${table}`),
  );
