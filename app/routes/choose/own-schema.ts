import { ownGameSchema } from '~/core/own/definition';

/** The published form of the file of a game: JSON Schema, draft 2020-12. */
export const loader = (): Response =>
  new Response(
    `${JSON.stringify({ $schema: 'https://json-schema.org/draft/2020-12/schema', ...ownGameSchema }, null, 2)}\n`,
    { headers: { 'Content-Type': 'application/schema+json; charset=utf-8' } },
  );
