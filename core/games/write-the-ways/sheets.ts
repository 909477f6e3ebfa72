import { forEachPlayer, recordSheets, sentenceToFill, waysToTick } from '~/core/paper/record';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import { sentences, type WaysParams } from './rules';
import { en } from './words/en';
import { es } from './words/es';

/** A row for every way; all ways to tick on the back. */
export function sheets(params: WaysParams, context: SheetContext): Sheet[] {
  const all = sentences(params);
  const sign = params.ops.length === 1 ? params.ops[0]! : '○';
  return forEachPlayer(
    params.players,
    recordSheets(
      { en, es },
      {
        rows: all.length,
        row: (place) => sentenceToFill(['□', sign, '□', '=', String(params.target)], place),
        back: (place) =>
          waysToTick(
            all.map(({ a, b, sign: by }) => `${a} ${by} ${b} = ${params.target}`),
            place,
          ),
      },
      context,
    ),
  );
}
