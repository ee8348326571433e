/** The database: tables, connection, migrations. */
export { BESIDE, holdShop, makeShop, openShop, putInPlace, realPath, type Shop, synced } from './connection';
export { DatabaseError } from './errors';
