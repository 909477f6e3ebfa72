/** `npm run -s figures -- <topic> '<JSON>'`: what a station computes, as JSON. Exit code 2 for a bad question. */
import { answerTo, Refused, TOPIC_NAMES } from '~/core/figures/topics.ts';

function refuse(line: string): never {
  console.error(line.replaceAll('\n', ' '));
  process.exit(2);
}

const [name, text, ...rest] = process.argv.slice(2);
if (!name || text === undefined)
  refuse(`Usage: npm run -s figures -- <topic> '<JSON>'. The topics are: ${TOPIC_NAMES.join(', ')}.`);
if (rest.length) refuse(`Give the question as one JSON text in quotes: '{"need": 10}'.`);
let question: unknown;
try {
  question = JSON.parse(text);
} catch (error) {
  refuse(`The question is not JSON: ${(error as Error).message.split('\n')[0]}`);
}
try {
  console.log(JSON.stringify(await answerTo(name, question), null, 2));
} catch (error) {
  if (error instanceof Refused) refuse(error.message);
  throw error;
}
