import type { MaterialId } from '~/core/materials/catalogue';
import { forEachPlayer, recordSheets, sentenceToFill, waysToTick } from '~/core/paper/record';
import type { Sheet, SheetContext } from '~/core/paper/sheet';
import type { WaysParams } from '.';
import { sentences } from './reckon';
import { words } from './words';

/** A row for every way; all ways to tick on the back. */
export function sheets(params: WaysParams, context: SheetContext): Sheet<MaterialId>[] {
  const all = sentences(params);
  const sign = params.ops.length === 1 ? params.ops[0]! : '○';
  return forEachPlayer(
    params.players,
    recordSheets(
      words,
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
