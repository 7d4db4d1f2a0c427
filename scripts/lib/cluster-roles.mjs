/** The role that the application works as: owner of its database, and no superuser. */
import { randomBytes } from 'node:crypto';

const role = 'fox_tempo';

/** Whatever in this database still belongs to the superuser, as clusters of older versions do, goes to the application's role. */
const handOver = `
do $$ declare each record; begin
  for each in select nspname from pg_namespace where nspname in ('public', 'drizzle', 'pgboss') loop
    execute format('alter schema %I owner to ${role}', each.nspname);
  end loop;
  for each in select n.nspname, c.relname, c.relkind from pg_class c join pg_namespace n on n.oid = c.relnamespace
    where n.nspname in ('public', 'drizzle', 'pgboss') and c.relkind in ('r', 'p', 'v', 'S')
      and c.relowner <> (select oid from pg_roles where rolname = '${role}')
      and not exists (select 1 from pg_depend d where d.objid = c.oid and d.deptype in ('a', 'i') and c.relkind = 'S') loop
    execute format('alter table %I.%I owner to ${role}', each.nspname, each.relname);
  end loop;
end $$`;

/**
 * Makes role and database where they are missing and gives the role a new password, known to this run alone.
 * @param {(database: string, sql: string) => string} query runs SQL as the superuser and returns its rows
 * @returns {{ role: string, password: string }}
 */
export function ensureApplicationRole(query) {
  const password = randomBytes(24).toString('hex');
  const known = query('postgres', `select 1 from pg_roles where rolname = '${role}'`) === '1';
  query('postgres', `${known ? 'alter' : 'create'} role ${role} login nosuperuser createdb password '${password}'`);
  return { role, password };
}

export function ensureOwnedDatabase(query, name) {
  if (query('postgres', `select 1 from pg_database where datname = '${name}'`) !== '1')
    query('postgres', `create database "${name}" owner ${role}`);
  else query('postgres', `alter database "${name}" owner to ${role}`);
  query(name, handOver);
}
