import { useEffect, useRef, type ReactNode } from 'react';
import styled from 'styled-components';
import type { Merge } from '~/core/check/merge';
import { Button } from './Button';
import { Said } from './Notices';
import { Faint, Stack, TableFrame } from './Page';
import type { Draft } from './remember';
import { color } from './theme';

/** How the fields of a thing are named and shown. */
export interface FieldWords {
  label: (field: string) => string;
  show: (field: string, value: unknown) => string;
}

/** A value of a field in words, where nothing better is known. */
export function plainValue(value: unknown): string {
  if (value === null || value === undefined || value === '') return 'empty';
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (Array.isArray(value)) return value.length ? value.map(plainValue).join(', ') : 'none';
  if (typeof value === 'object')
    return Object.entries(value)
      .map(([name, inner]) => `${name}: ${plainValue(inner)}`)
      .join(', ');
  return `${value as string | number | bigint}`;
}

/** What somebody else changed while a form was open. */
export interface Late<T> extends Merge<T> {
  version: number;
  by: string;
  /** The time of day, in words. */
  at: string;
}

/** A save that came too late: what both changed, field by field, and whose shall stand. */
export function TooLate<T extends object>({
  late,
  draft,
  words,
  what,
}: {
  late: Late<T>;
  draft: Draft<T>;
  words: FieldWords;
  /** "this family", "this kit" … */
  what: string;
}) {
  const value = draft.value as Record<string, unknown>;
  const place = useRef<HTMLDivElement>(null);
  // The button that was pressed may stand far below: what has to be decided comes into sight.
  useEffect(() => {
    place.current?.scrollIntoView({ block: 'start' });
    place.current?.focus({ preventScroll: true });
  }, [late]);
  return (
    <div ref={place} tabIndex={-1} style={{ scrollMarginTop: '1rem', outline: 'none' }}>
      <Said kind="mind" word="Not saved yet" live>
        {late.by} changed {what} at {late.at}, while you had it open. Both of you changed the same:
        <TableFrame>
          <table>
            <thead>
              <tr>
                <th scope="col">What</th>
                <th scope="col">Before</th>
                <th scope="col">{late.by} made it</th>
                <th scope="col">You made it</th>
                <th scope="col">What shall stand?</th>
              </tr>
            </thead>
            <tbody>
              {late.clashes.map(({ field, base, mine, theirs }) => {
                const name = words.label(field);
                const takesTheirs = JSON.stringify(value[field]) === JSON.stringify(theirs);
                return (
                  <tr key={field}>
                    <th scope="row">{name}</th>
                    <td>{base === undefined ? 'not known any more' : words.show(field, base)}</td>
                    <td>{words.show(field, theirs)}</td>
                    <td>{words.show(field, mine)}</td>
                    <td>
                      {takesTheirs ? 'Theirs stands.' : 'Mine stands.'}{' '}
                      <Button
                        quiet
                        aria-label={`${takesTheirs ? 'Take mine' : 'Take theirs'}: ${name}`}
                        onPress={() => draft.set((old) => ({ ...old, [field]: takesTheirs ? mine : theirs }))}
                      >
                        {takesTheirs ? 'Take mine' : 'Take theirs'}
                      </Button>
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </TableFrame>
        {late.taken.length > 0 && (
          <p>
            {late.by} also changed, and it stays:{' '}
            {late.taken.map(({ field, to }) => `${words.label(field)}: ${words.show(field, to)}`).join('; ')}.
          </p>
        )}
        <p>Look at the form once more and save it again: then what stands there is kept.</p>
      </Said>
    </div>
  );
}

/** Says that what stands in a form was kept by this browser, and throws it away when that is wanted. */
export const KeptHere = ({ onDrop, children }: { onDrop: () => void; children?: ReactNode }) => (
  <Said
    kind="know"
    word="A draft of yours"
    action={
      <Button quiet onPress={onDrop}>
        Throw the draft away
      </Button>
    }
  >
    What stands here was typed before in this browser and was not saved.{children}
  </Said>
);

/** Says that what stands in a form is a draft of this browser, and what is newer in the store. */
export function DraftNote<T extends object>({
  draft,
  words,
}: {
  draft: Draft<T>;
  words: FieldWords;
}): ReactNode {
  if (!draft.restored) return null;
  const { newer } = draft.restored;
  return (
    <KeptHere onDrop={draft.drop}>
      {newer.length > 0 &&
        ` Meanwhile somebody changed ${newer.map(({ field, to }) => `${words.label(field)} to “${words.show(field, to)}”`).join(', ')}. Your draft does not show it yet; saving keeps both where they do not meet.`}
    </KeptHere>
  );
}

export interface ChangeRow {
  id: number;
  by: string;
  /** Day and time, in words. */
  at: string;
  kind: string;
  fields: { field: string; from: unknown; to: unknown }[];
}

const Rows = styled.ol`
  display: grid;
  gap: 0.5rem;
  margin-top: 0.6rem;
  li {
    border-inline-start: 4px solid ${color.line};
    padding-inline-start: 0.7rem;
  }
`;
const MOST_CHARS = 90;
const short = (text: string): string => (text.length > MOST_CHARS ? `${text.slice(0, MOST_CHARS)} …` : text);

/** Who changed what, the newest first; out of the way until somebody asks. */
export const Changes = ({ rows, words }: { rows: readonly ChangeRow[]; words: FieldWords }) => (
  <details style={{ marginTop: '0.4rem' }}>
    <summary>Who changed what</summary>
    {rows.length === 0 ? (
      <Faint>Nothing was changed yet.</Faint>
    ) : (
      <Rows>
        {rows.map((row) => (
          <li key={row.id}>
            <Stack $gap="0.1rem">
              <span>
                <strong>{row.by}</strong>, {row.at}: {row.kind}
              </span>
              {row.fields.map(({ field, from, to }) => (
                <Faint key={field} as="span">
                  {words.label(field)}: {from !== undefined && `${short(words.show(field, from))} → `}
                  {short(words.show(field, to))}
                </Faint>
              ))}
            </Stack>
          </li>
        ))}
      </Rows>
    )}
  </details>
);
