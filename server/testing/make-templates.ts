/** Fills the databases that every server test starts from, once a run and outside the tests' sandbox, where seeding is four times as slow. */
import pg from 'pg';
import { assemble } from '../assemble.ts';
import { seedIfEmpty } from '../db/seed.ts';
import { templates } from './templates.ts';

const [base] = process.argv.slice(2);
if (base === undefined) throw new Error('the address of the throwaway cluster is missing');

const admin = new pg.Client({ connectionString: base });
await admin.connect();
for (const name of templates) {
  await admin.query(`create database ${name}`);
  const assembly = await assemble({ url: base.replace(/\/postgres$/, `/${name}`) });
  if (name === 'template_demo') await seedIfEmpty(assembly.connection.db, { trials: false });
  await assembly.close();
}
await admin.end();
