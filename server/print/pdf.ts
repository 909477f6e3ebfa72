/** Sheets as a PDF: real text, embedded fonts, exact size. */
import PDFDocument from 'pdfkit';
import { PT_MM, type FontName, type Ink, type Shape, type Sheet } from '~/core/print/sheet';
import { fontData } from './fonts';

const pt = (mm: number): number => mm / PT_MM;

/** Draws all sheets, each on a page of its own size. Resolves with the whole file. */
export function pdfOf(
  sheets: readonly Sheet[],
  about: { title: string; author: string; language: string },
): Promise<Buffer> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    info: { Title: about.title, Author: about.author, Producer: 'Fern Basket' },
    lang: about.language,
    pdfVersion: '1.7',
    displayTitle: true,
  });
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  for (const name of ['body', 'bold', 'display'] satisfies FontName[]) doc.registerFont(name, fontData(name));
  for (const sheet of sheets) {
    doc.addPage({ size: [pt(sheet.widthMm), pt(sheet.heightMm)], margin: 0 });
    for (const shape of sheet.shapes) draw(doc, shape);
  }
  doc.end();
  return done;
}

function draw(doc: PDFKit.PDFDocument, shape: Shape): void {
  switch (shape.kind) {
    case 'text': {
      doc.font(shape.font).fontSize(shape.sizePt).fillColor(shape.fill);
      const width = shape.anchor === 'start' ? 0 : doc.widthOfString(shape.text);
      const left = pt(shape.x) - (shape.anchor === 'middle' ? width / 2 : shape.anchor === 'end' ? width : 0);
      doc.text(shape.text, left, pt(shape.y), { lineBreak: false, baseline: 'alphabetic' });
      return;
    }
    case 'line':
      doc.moveTo(pt(shape.x1), pt(shape.y1)).lineTo(pt(shape.x2), pt(shape.y2));
      return ink(doc, shape);
    case 'rect':
      if (shape.radius)
        doc.roundedRect(pt(shape.x), pt(shape.y), pt(shape.width), pt(shape.height), pt(shape.radius));
      else doc.rect(pt(shape.x), pt(shape.y), pt(shape.width), pt(shape.height));
      return ink(doc, shape);
    case 'circle':
      doc.circle(pt(shape.x), pt(shape.y), pt(shape.radius));
      return ink(doc, shape);
    case 'path':
      // Path data is in mm; the page is scaled for it, lines included.
      doc
        .save()
        .scale(1 / PT_MM)
        .path(shape.d);
      ink(doc, shape, 1);
      doc.restore();
  }
}

function ink(doc: PDFKit.PDFDocument, { fill, stroke, strokeMm = 0.2, dashMm }: Ink, unit = 1 / PT_MM): void {
  if (stroke) {
    doc.lineWidth(strokeMm * unit).strokeColor(stroke);
    if (dashMm) doc.dash(dashMm[0]! * unit, { space: (dashMm[1] ?? dashMm[0]!) * unit });
    else doc.undash();
  }
  if (fill && stroke) doc.fillAndStroke(fill, stroke);
  else if (fill) doc.fill(fill);
  else doc.stroke(stroke);
}
