/**
 * Lines as XLIFF 2.0 (OASIS standard of 2014): a file for each game, a unit for each line, a segment for each form that
 * the second language has. Places that the game fills in are inline codes that cannot be typed into.
 */
import { XMLBuilder, XMLParser, XMLValidator } from 'fast-xml-parser';
import { unitOf, SEGMENT_STATES, type Returned, type SegmentState, type LineHere } from './exchange';
import { isLanguage, type Language } from './languages';
import { placesIn } from './sentences';

const NAMESPACE = 'urn:oasis:names:tc:xliff:document:2.0';

/** An element as it is built and read: children in their order, with attributes beside. */
type Node = { [name: string]: Node[] | string | number | Record<string, string> | undefined };
const ATTRIBUTES = ':@';
const TEXT = '#text';

const element = (name: string, attributes: Record<string, string>, children: Node[] = []): Node => ({
  [name]: children,
  [ATTRIBUTES]: attributes,
});
const text = (value: string): Node => ({ [TEXT]: value });

/** Signs that no XML file may hold. */
// eslint-disable-next-line no-control-regex
const CONTROLS = /[\u0000-\u0008\u000b\u000c\u000e-\u001f\ufffe\uffff]/g;

const SHAPE = {
  preserveOrder: true,
  ignoreAttributes: false,
  attributeNamePrefix: '',
  textNodeName: TEXT,
} as const;

/** A sentence with its places as inline codes; the same place of the other language has the same id. */
function coded(sentence: string, codes: readonly string[], segment: number): Node[] {
  const times = new Map<string, number>();
  return sentence.split(/(\{\w+\})/).flatMap((piece) => {
    const place = /^\{(\w+)\}$/.exec(piece)?.[1];
    if (place === undefined) return piece === '' ? [] : [text(piece)];
    const time = (times.get(place) ?? 0) + 1;
    times.set(place, time);
    return [
      element('ph', {
        id: `${segment}.${place}.${time}`,
        dataRef: `d${codes.indexOf(place) + 1}`,
        equiv: place,
        disp: `{${place}}`,
      }),
    ];
  });
}

/** The lines as a file that comes in again as the same. */
export function writeXliff({
  from,
  to,
  lines,
}: {
  from: Language;
  to: Language;
  lines: readonly LineHere[];
}): string {
  const files = new Map<string, Node[]>();
  for (const line of lines) {
    const { sourceId, messageId, place, note, state, segments } = unitOf(line, from, to);
    const codes = placesIn(segments.map(({ source, target }) => source + target).join(' '));
    const notes = [
      element('note', { category: 'place' }, [text(place)]),
      ...segments
        .filter(({ when }) => when)
        .map(({ form, when }) => element('note', { category: 'form', id: form }, [text(when)])),
      ...(note ? [element('note', { category: 'doubt' }, [text(note)])] : []),
    ];
    const unit = element('unit', { id: messageId, canResegment: 'no' }, [
      element('notes', {}, notes),
      ...(codes.length
        ? [
            element(
              'originalData',
              {},
              codes.map((name, i) => element('data', { id: `d${i + 1}` }, [text(`{${name}}`)])),
            ),
          ]
        : []),
      ...segments.map(({ form, source, target }, i) =>
        element('segment', { id: form, state }, [
          element('source', { 'xml:space': 'preserve' }, coded(source, codes, i + 1)),
          ...(target ? [element('target', { 'xml:space': 'preserve' }, coded(target, codes, i + 1))] : []),
        ]),
      ),
    ]);
    files.set(sourceId, [...(files.get(sourceId) ?? []), unit]);
  }
  const root = element(
    'xliff',
    { xmlns: NAMESPACE, version: '2.0', srcLang: from, trgLang: to },
    [...files].map(([id, units]) => element('file', { id }, units)),
  );
  const built = new XMLBuilder({ ...SHAPE, suppressEmptyNode: true }).build([
    element('?xml', { version: '1.0', encoding: 'UTF-8' }, [text('')]),
    root,
  ]);
  return `${built.replace(CONTROLS, '')}\n`;
}

export type ReadXliff =
  { ok: true; from: Language; to: Language; segments: Returned[] } | { ok: false; problem: string };

/** More sentences than these are in no file of ours. */
const MOST_SEGMENTS = 20_000;

const nameOf = (node: Node): string => Object.keys(node).find((key) => key !== ATTRIBUTES) ?? '';
const childrenOf = (node: Node): Node[] => {
  const inside = node[nameOf(node)];
  return Array.isArray(inside) ? inside : [];
};
const attribute = (node: Node, name: string): string => {
  const all = node[ATTRIBUTES];
  const value = typeof all === 'object' && !Array.isArray(all) ? all[name] : undefined;
  return typeof value === 'string' ? value : '';
};
const named = (nodes: readonly Node[], name: string): Node[] => nodes.filter((node) => nameOf(node) === name);

/** Text with its codes as places again. A code that its unit does not explain stands as a place that no line has. */
function decoded(nodes: readonly Node[], data: ReadonlyMap<string, string>): string {
  return nodes
    .map((node): string => {
      const name = nameOf(node);
      if (name === TEXT) return `${node[TEXT] as string | number | boolean}`;
      if (name === 'ph') {
        const place = data.get(attribute(node, 'dataRef')) ?? `{${attribute(node, 'equiv')}}`;
        return /^\{\w+\}$/.test(place) ? place : '{}';
      }
      if (name === 'cp') {
        const sign = Number.parseInt(attribute(node, 'hex'), 16);
        return sign >= 32 && sign <= 0x10ffff ? String.fromCodePoint(sign) : '';
      }
      // Marks and spans of other tools are looked through.
      return decoded(childrenOf(node), data);
    })
    .join('');
}

/** Reads a file that was sent out before, or says in one sentence why it cannot be read. */
export function readXliff(file: string): ReadXliff {
  const refuse = (problem: string) => ({ ok: false, problem }) as const;
  if (/<!DOCTYPE|<!ENTITY/i.test(file))
    return refuse(
      'This file brings rules of its own (a DOCTYPE), so it is not read. Save it as plain XLIFF 2.0.',
    );
  let nodes: Node[];
  try {
    const valid = XMLValidator.validate(file);
    if (valid !== true)
      return refuse(
        `This file is not well formed: line ${valid.err.line} cannot be read. Nothing of it was taken.`,
      );
    nodes = new XMLParser({
      ...SHAPE,
      trimValues: false,
      parseTagValue: false,
      parseAttributeValue: false,
    }).parse(file) as Node[];
  } catch {
    return refuse('This file is not well formed, so it cannot be read. Nothing of it was taken.');
  }
  const root = named(nodes, 'xliff')[0];
  if (!root) return refuse('This is not an XLIFF file.');
  const version = attribute(root, 'version');
  if (
    !version.startsWith('2.') ||
    !attribute(root, 'xmlns').startsWith('urn:oasis:names:tc:xliff:document:2.')
  )
    return refuse('This file is of another version of XLIFF; version 2.0 is read here.');
  const [from, to] = [attribute(root, 'srcLang'), attribute(root, 'trgLang')];
  if (!isLanguage(from) || !isLanguage(to))
    return refuse('The file does not say which languages it is in (srcLang and trgLang).');
  const segments: Returned[] = [];
  /** Units, through groups of any depth. */
  const units = (inside: readonly Node[]): Node[] =>
    inside.flatMap((node) =>
      nameOf(node) === 'unit' ? [node] : nameOf(node) === 'group' ? units(childrenOf(node)) : [],
    );
  for (const one of named(childrenOf(root), 'file')) {
    const sourceId = attribute(one, 'id');
    for (const unit of units(childrenOf(one))) {
      const messageId = attribute(unit, 'id');
      const inside = childrenOf(unit);
      const data = new Map(
        named(inside, 'originalData')
          .flatMap((each) => named(childrenOf(each), 'data'))
          .map((each) => [attribute(each, 'id'), decoded(childrenOf(each), new Map())]),
      );
      for (const segment of named(inside, 'segment')) {
        if (segments.length === MOST_SEGMENTS)
          return refuse(`This file has more than ${MOST_SEGMENTS} sentences. Send it in parts.`);
        const [source] = named(childrenOf(segment), 'source');
        const [target] = named(childrenOf(segment), 'target');
        const state = attribute(segment, 'state') as SegmentState;
        segments.push({
          at: `${sourceId}, ${messageId}`,
          sourceId,
          messageId,
          form: attribute(segment, 'id'),
          source: source ? decoded(childrenOf(source), data) : '',
          target: target ? decoded(childrenOf(target), data) : '',
          ...(SEGMENT_STATES.includes(state) ? { state } : {}),
        });
      }
    }
  }
  return segments.length ? { ok: true, from, to, segments } : refuse('There are no lines in this file.');
}
