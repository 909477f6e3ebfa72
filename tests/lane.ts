/** Each worker of the tests has a database of its own, and a server that serves it: files run beside each other. */
import { useDatabase } from '~/scripts/lib/url';

const lane = Number(process.env.VITEST_POOL_ID ?? 1) - 1;
const mine = (list: string | undefined): string | undefined => list?.split(' ')[lane];
const database = mine(process.env.FERN_DATABASES);
if (database) useDatabase(database);
const address = mine(process.env.FERN_ADDRESSES);
if (address) process.env.FERN_ADDRESS = address;
