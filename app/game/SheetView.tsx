import styled, { css } from 'styled-components';
import { PT_MM, type Ink, type Shape, type Sheet } from '~/core/paper/sheet';
import { aboutLanguage } from '~/core/words/languages';
import { color, familiesOf } from '~/app/ui/theme';

/** Letters beside those of the Latin script. */
const OTHER_SCRIPT = /[^\p{Script=Latin}\p{Script=Common}\p{Script=Inherited}]/u;
const inked = ({ fill, stroke, strokeMm, dashMm, round }: Ink) => ({
  fill: fill ?? 'none',
  stroke: stroke ?? 'none',
  strokeWidth: stroke ? (strokeMm ?? 0.2) : undefined,
  strokeDasharray: dashMm?.join(' '),
  strokeLinecap: round ? ('round' as const) : undefined,
  strokeLinejoin: round ? ('round' as const) : undefined,
});

/** One shape as SVG; the same shape the PDF draws. */
function Drawn({ shape }: { shape: Shape }) {
  switch (shape.kind) {
    case 'text': {
      // Anchors of shapes are sides of the paper; those of SVG follow the direction of the text.
      const rtl = shape.language !== undefined && aboutLanguage(shape.language).direction === 'rtl';
      // In a heading other scripts are bold; the letters beside them have one weight only, and none is made up for them.
      const boldScript = shape.font === 'display' && OTHER_SCRIPT.test(shape.text);
      const anchor = rtl ? ({ start: 'end', end: 'start', middle: 'middle' } as const) : undefined;
      return (
        <text
          x={shape.x}
          y={shape.y}
          fontSize={shape.sizePt * PT_MM}
          fontFamily={familiesOf(shape.font === 'display' ? 'display' : 'body', shape.language)}
          fontWeight={shape.font === 'bold' || boldScript ? 700 : 400}
          style={boldScript ? { fontSynthesis: 'none' } : undefined}
          textAnchor={anchor ? anchor[shape.anchor] : shape.anchor}
          direction={rtl ? 'rtl' : undefined}
          fill={shape.fill}
          lang={shape.language}
        >
          {shape.text}
        </text>
      );
    }
    case 'line':
      return <line x1={shape.x1} y1={shape.y1} x2={shape.x2} y2={shape.y2} {...inked(shape)} />;
    case 'rect':
      return (
        <rect
          x={shape.x}
          y={shape.y}
          width={shape.width}
          height={shape.height}
          rx={shape.radius}
          {...inked(shape)}
        />
      );
    case 'circle':
      return <circle cx={shape.x} cy={shape.y} r={shape.radius} {...inked(shape)} />;
    case 'path':
      return (
        <path d={shape.d} {...inked(shape)}>
          {shape.says && <title>{shape.says}</title>}
        </path>
      );
    case 'image':
      return (
        <image x={shape.x} y={shape.y} width={shape.width} height={shape.height} href={shape.data}>
          <title>{shape.says}</title>
        </image>
      );
  }
}

/** A page as a file of its own, to scale, its fonts inside. */
export const SheetFile = ({ sheet, fonts }: { sheet: Sheet; fonts: string }) => (
  <svg
    xmlns="http://www.w3.org/2000/svg"
    width={`${sheet.widthMm}mm`}
    height={`${sheet.heightMm}mm`}
    viewBox={`0 0 ${sheet.widthMm} ${sheet.heightMm}`}
  >
    <title>{sheet.title}</title>
    {fonts && <style>{fonts}</style>}
    <rect width={sheet.widthMm} height={sheet.heightMm} fill="#FFFFFF" />
    {sheet.shapes.map((shape, i) => (
      <Drawn key={i} shape={shape} />
    ))}
  </svg>
);

/** A sheet of white paper on the bench. */
export const paperLook = css`
  display: block;
  width: 100%;
  height: auto;
  background: #fff;
  border: 1px solid ${color.line};
  box-shadow: 2px 3px 0 #e5dcc3;
`;
const Paper = styled.svg`
  ${paperLook}
`;

/** A printed page as it will be. */
export const SheetView = ({ sheet, label }: { sheet: Sheet; label: string }) => (
  <Paper viewBox={`0 0 ${sheet.widthMm} ${sheet.heightMm}`} role="img" aria-label={label}>
    {sheet.shapes.map((shape, i) => (
      <Drawn key={i} shape={shape} />
    ))}
  </Paper>
);

/** The small picture of a game or of a step. */
export const GameDrawing = ({ shapes, width = 150 }: { shapes: readonly Shape[]; width?: number }) => (
  <svg viewBox="0 0 100 60" width={width} height={width * 0.6} aria-hidden>
    {shapes.map((shape, i) => (
      <Drawn key={i} shape={shape} />
    ))}
  </svg>
);
