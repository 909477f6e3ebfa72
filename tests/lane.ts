/** Each worker of the tests has a database of its own, and a server that serves it: files run beside each other. */
const lane = Number(process.env.VITEST_POOL_ID ?? 1) - 1;
for (const [name, list] of [
  ['DATABASE_URL', process.env.FERN_DATABASES],
  ['FERN_ADDRESS', process.env.FERN_ADDRESSES],
] as const) {
  const own = list?.split(' ')[lane];
  if (own) process.env[name] = own;
}
