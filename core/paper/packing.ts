/** How many pieces of a size fit a sheet, either way round. */
import { MARGIN_MM } from './sheet';

export interface Fitting {
  columns: number;
  rows: number;
  /** Pieces on one sheet; 0 when not even one fits. */
  count: number;
  /** The pieces lie on their side. */
  turned: boolean;
}

/** Rows and columns of pieces of one size (mm) on a sheet with margins; the better of the two ways round. */
export function fitting(
  piece: { w: number; h: number },
  sheet: { widthMm: number; heightMm: number },
  gapMm: number,
  marginMm = MARGIN_MM,
): Fitting {
  const along = (room: number, size: number): number =>
    Math.max(0, Math.floor((room - 2 * marginMm + gapMm + 1e-9) / (size + gapMm)));
  const lay = (w: number, h: number, turned: boolean): Fitting => {
    const columns = along(sheet.widthMm, w);
    const rows = along(sheet.heightMm, h);
    return { columns, rows, count: columns * rows, turned };
  };
  const upright = lay(piece.w, piece.h, false);
  const onSide = lay(piece.h, piece.w, true);
  return onSide.count > upright.count ? onSide : upright;
}
