import { defineConfig } from 'drizzle-kit';

export default defineConfig({
  dialect: 'postgresql',
  schema: './data/schema',
  out: './data/migrations',
  casing: 'snake_case',
});
