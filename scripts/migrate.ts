/** `npm run migrate`: brings the database in DATABASE_URL to the newest schema. Safe when two start at once. */
import { databaseTrouble } from '~/data/trouble.ts';
import { migrate } from '~/data/migrate.ts';
import { step, Trouble } from './lib/say.ts';
import { requireOwnerUrl } from './lib/url.ts';

await step('migrations', async () => {
  requireOwnerUrl();
  await migrate().catch((error: unknown) => {
    if (databaseTrouble(error) === 'empty')
      throw new Trouble('There is no database of this name.', 'make it first: createdb fern_basket');
    if (databaseTrouble(error))
      throw new Trouble(
        'The database does not answer.',
        'look at DATABASE_OWNER_URL and whether PostgreSQL runs.',
      );
    throw error;
  });
}).catch(() => process.exit(1));
