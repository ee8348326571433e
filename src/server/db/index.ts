/** The database: tables, connection, migrations. */
export { openShop, type Shop } from './connection';
export { DatabaseError } from './errors';
