// Outside the built server a thread starts with plain JavaScript: what reads TypeScript has to be brought in first.
import { register } from 'tsx/esm/api';

register();
const work = await import('./worker.ts');
export const {
  draw,
  handOut,
  preview,
  pieces,
  paper,
  recipe,
  verdict,
  making,
  can,
  safer,
  afternoon,
  shelf,
  entry,
  reckoning,
  demands,
  meant,
  mended,
  offeredGames,
  rehearsed,
  rotation,
  tableParts,
  wears,
} = work;
