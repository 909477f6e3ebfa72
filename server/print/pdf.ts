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
  const before = new Map<string, Drawn>();
  for (const [i, sheet] of sheets.entries()) {
    doc.addPage({ size: [pt(sheet.widthMm), pt(sheet.heightMm)], margin: 0 });
    const section = doc.struct('Sect', sheet.title ? { title: sheet.title } : {});
    root.add(section);
    const own = sheet.shapes.slice(sheet.repeats ?? sheet.shapes.length);
    const repeated = sheet.shapes.slice(0, sheet.repeats);
    const key = JSON.stringify([sheet.widthMm, sheet.heightMm, repeated]);
    const known = before.get(key);
    if (known) showAgain(doc, known, section);
    else {
      const groups = grouped(repeated);
      for (const group of groups) drawGroup(doc, group, section, fontOf);
      before.set(key, asDrawn(doc, groups));
    }
    if (own.length) drawApart(doc, grouped(own), section, fontOf);
    section.end();
    drawn(i + 1);
  }
  root.end();
  doc.end();
  return done;
}

/** Draws a group as a part of the structure, with its language in the drawing too. */
function drawGroup(doc: Doc, group: Group, section: PDFKit.PDFStructureElement, fontOf: FontOf): void {
  if (group.says === undefined) doc.markContent('Artifact', { type: 'Layout' });
  else section.add(doc.struct(group.tag, spoken(group), doc.markStructureContent('Span', spoken(group))));
  for (const shape of group.shapes) draw(doc, shape, fontOf);
  doc.endMarkedContent();
}

/** In which language a group is read, and what is read where it is drawn. */
const spoken = ({ language, actual }: Group): { lang?: string; actual?: string; alt?: string } => ({
  ...(language ? { lang: language } : {}),
  ...(actual ? { actual, alt: actual } : {}),
});

/** What the library keeps of a page: its drawing, what the drawing names, and the page itself. */
interface Page {
  content: { buffer: unknown[]; data: { Length?: number; Filter?: string } };
  resources: { data: object };
  dictionary: { data: { Contents: object; Resources: object } };
  write: (chunk: unknown) => void;
}
type Doc = PDFKit.PDFDocument;
const pageOf = (doc: Doc): Page => doc.page as unknown as Page;

/** What stands in a file once, however many of its pages show it. */
interface Drawn extends Pick<Page, 'content' | 'resources'> {
  /** How many of its groups are read. */
  read: number;
}
const asDrawn = (doc: Doc, groups: readonly Group[]): Drawn => {
  const { content, resources } = pageOf(doc);
  return { content, resources, read: groups.filter(({ says }) => says !== undefined).length };
};

/** Shows on this page what another one has drawn. It is read as a whole; its drawing says the languages. */
function showAgain(doc: Doc, { content, resources, read }: Drawn, section: PDFKit.PDFStructureElement): void {
  const page = pageOf(doc);
  Object.assign(page.resources.data, resources.data);
  Object.assign(page.dictionary.data, { Contents: content, Resources: resources });
  // The marks of what is read are in the drawing already: here they are counted only.
  const marked = Array.from({ length: read }, () => {
    const mark = doc.markStructureContent('Span');
    doc.endMarkedContent();
    return mark;
  });
  page.content.buffer.length = 0;
  page.content.data = {};
  if (marked.length) section.add(doc.struct('P', {}, marked));
}

/** Draws what this page alone has, over what it shares with others. */
function drawApart(
  doc: Doc,
  groups: readonly Group[],
  section: PDFKit.PDFStructureElement,
  fontOf: FontOf,
): void {
  const page = pageOf(doc);
  const { data } = page.dictionary;
  const { write } = page;
  const apart = doc.ref({});
  page.write = (chunk) => apart.write(chunk);
  for (const group of groups) drawGroup(doc, group, section, fontOf);
  page.write = write;
  apart.end('');
  Object.assign(data, { Contents: [data.Contents, apart], Resources: page.resources });
}

interface Group {
  tag: 'P' | 'Figure';
  /** Undefined for what only decorates. */
  says?: string;
  language?: Language | undefined;
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
