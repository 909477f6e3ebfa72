/** Sheets as a PDF: real text with its language, embedded fonts, exact size. */
import PDFDocument from 'pdfkit';
import { PT_MM, type Ink, type Shape, type Sheet } from '~/core/paper/sheet';
import type { Language } from '~/core/words/languages';
import { fontData, type Face } from './faces';
import { runMm } from './fonts';
import { visualRuns } from './runs';

const pt = (mm: number): number => mm / PT_MM;

export interface PdfAbout {
  title: string;
  author: string;
  language: Language;
  /** Written into the file. The same pages with the same day are the same bytes. */
  madeOn: Date;
}

/** Draws all sheets, each on a page of its own size. Resolves with the whole file; `drawn` is told after each page. */
export function pdfOf(
  sheets: readonly Sheet[],
  about: PdfAbout,
  drawn: (pages: number) => void = () => undefined,
): Promise<Buffer> {
  const doc = new PDFDocument({
    autoFirstPage: false,
    info: {
      Title: about.title,
      Author: about.author,
      Producer: 'Fern Basket',
      Creator: 'Fern Basket',
      CreationDate: about.madeOn,
    },
    lang: about.language,
    pdfVersion: '1.7',
    displayTitle: true,
    tagged: true,
  });
  const chunks: Buffer[] = [];
  const done = new Promise<Buffer>((resolve, reject) => {
    doc.on('data', (chunk: Buffer) => chunks.push(chunk));
    doc.on('end', () => resolve(Buffer.concat(chunks)));
    doc.on('error', reject);
  });
  const known = new Set<string>();
  const fontOf = (face: Face): string => {
    if (!known.has(face.file)) doc.registerFont(face.file, fontData(face));
    known.add(face.file);
    return face.file;
  };
  const root = doc.struct('Document');
  doc.addStructure(root);
  for (const [i, sheet] of sheets.entries()) {
    doc.addPage({ size: [pt(sheet.widthMm), pt(sheet.heightMm)], margin: 0 });
    const section = doc.struct('Sect', sheet.title ? { title: sheet.title } : {});
    root.add(section);
    for (const group of grouped(sheet.shapes)) {
      if (group.says === undefined) doc.markContent('Artifact', { type: 'Layout' });
      else {
        const content = doc.markStructureContent(group.tag);
        section.add(
          doc.struct(
            group.tag,
            {
              ...(group.language ? { lang: group.language } : {}),
              ...(group.actual ? { actual: group.actual, alt: group.actual } : {}),
            },
            content,
          ),
        );
      }
      for (const shape of group.shapes) draw(doc, shape, fontOf);
      doc.endMarkedContent();
    }
    section.end();
    drawn(i + 1);
  }
  root.end();
  doc.end();
  return done;
}

interface Group {
  tag: 'P' | 'Figure';
  /** Undefined for what only decorates. */
  says?: string;
  language?: Language;
  /** What a drawn text says. */
  actual?: string;
  shapes: Shape[];
}

/** Neighbouring lines of one language are a paragraph; what says nothing is decoration. */
function grouped(shapes: readonly Shape[]): Group[] {
  const groups: Group[] = [];
  for (const shape of shapes) {
    const last = groups.at(-1);
    if (shape.kind === 'text') {
      if (last?.tag === 'P' && last.says !== undefined && last.language === shape.language)
        last.shapes.push(shape);
      else groups.push({ tag: 'P', says: shape.text, language: shape.language, shapes: [shape] });
    } else if ((shape.kind === 'path' || shape.kind === 'image') && shape.says)
      groups.push({ tag: 'Figure', says: shape.says, actual: shape.says, shapes: [shape] });
    else if (last && last.says === undefined) last.shapes.push(shape);
    else groups.push({ tag: 'P', shapes: [shape] });
  }
  return groups;
}

/** The name under which a document has a font, which it is given when it is first used. */
type FontOf = (face: Face) => string;

function draw(doc: PDFKit.PDFDocument, shape: Shape, fontOf: FontOf): void {
  switch (shape.kind) {
    case 'text':
      return drawText(doc, shape, fontOf);
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
      return;
    case 'image': {
      const bytes = Buffer.from(shape.data.slice(shape.data.indexOf(',') + 1), 'base64');
      doc.image(bytes, pt(shape.x), pt(shape.y), {
        fit: [pt(shape.width), pt(shape.height)],
        align: 'center',
        valign: 'center',
      });
    }
  }
}

/** One line, its runs from left to right. */
function drawText(doc: PDFKit.PDFDocument, shape: Extract<Shape, { kind: 'text' }>, fontOf: FontOf): void {
  const runs = visualRuns(shape.text, shape.font, shape.language);
  const widths = runs.map((run) => runMm(run, shape.sizePt));
  const width = widths.reduce((a, b) => a + b, 0);
  let x = shape.x - (shape.anchor === 'middle' ? width / 2 : shape.anchor === 'end' ? width : 0);
  doc.fontSize(shape.sizePt).fillColor(shape.fill);
  runs.forEach((run, i) => {
    doc.font(fontOf(run.face)).text(run.text, pt(x), pt(shape.y), {
      lineBreak: false,
      baseline: 'alphabetic',
      // Shaped as a whole: words of Arabic must not be set one by one from the left.
      ...(run.face.rightToLeft ? { features: [] } : {}),
    });
    x += widths[i]!;
  });
}

function ink(
  doc: PDFKit.PDFDocument,
  { fill, stroke, strokeMm = 0.2, dashMm, round }: Ink,
  unit = 1 / PT_MM,
): void {
  if (stroke) {
    doc
      .lineWidth(strokeMm * unit)
      .strokeColor(stroke)
      .lineCap(round ? 'round' : 'butt')
      .lineJoin(round ? 'round' : 'miter');
    if (dashMm) doc.dash(dashMm[0]! * unit, { space: (dashMm[1] ?? dashMm[0]!) * unit });
    else doc.undash();
  }
  if (fill && stroke) doc.fillAndStroke(fill, stroke);
  else if (fill) doc.fill(fill);
  else doc.stroke(stroke);
}
