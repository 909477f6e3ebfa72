/** Counting by weight: what lies on the scale, and how many pieces that is. */
import { useEffect, useRef, useState } from 'react';
import { Link } from 'react-router';
import { useFetcher } from '~/app/ui/sending';
import { SURE, weigh, type LearnedUnit } from '~/core/kits/weigh';
import { count } from '~/core/words/numbers';
import { Button } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Row, Stack } from '~/app/ui/Page';
import { useRemembered } from '~/app/ui/remember';

/** A button that reads the scale, and what it says when there is nothing to read. */
export function ReadScale({ onRead }: { onRead: (grams: number, resolutionG: number) => void }) {
  const reader = useFetcher<{ reading?: { grams: number; resolutionG: number } }>();
  const told = useRef<unknown>(undefined);
  useEffect(() => {
    if (reader.data === undefined || told.current === reader.data) return;
    told.current = reader.data;
    if (reader.data.reading) onRead(reader.data.reading.grams, reader.data.reading.resolutionG);
  }, [reader.data, onRead]);
  return (
    <>
      <Button
        type="button"
        quiet
        isPending={reader.state !== 'idle'}
        onPress={() => void reader.load('/fill/scale/reading')}
      >
        Read the scale
      </Button>
      {reader.data && !reader.data.reading && (
        <Faint>
          No scale has told anything yet: type what it shows, or <Link to="/fill/scale">play the scale</Link>.
        </Faint>
      )}
    </>
  );
}

interface Kept {
  tareG: number;
  resolutionG: number;
}

/** Says how many pieces lie on the scale; `wanted` are to be there. Where it is not sure it asks for a count by hand. */
export function OnTheScale({
  unit,
  material,
  wanted,
  onCount,
}: {
  unit: LearnedUnit | undefined;
  material: { id: string; name: string; plural: string };
  wanted: number;
  /** Told when the weight says a number that can be trusted. */
  onCount?: (count: number) => void;
}) {
  const { value: kept, set } = useRemembered<Kept>('scale', { tareG: 0, resolutionG: 1 });
  const [readingG, setReading] = useState<number>();
  const weighed =
    unit && readingG !== undefined
      ? weigh({
          unitG: unit.unitG,
          unitSdG: unit.unitSdG,
          sample: unit.sample,
          tareSdG: 0,
          ...kept,
          readingG,
          most: Math.max(50, wanted * 2),
        })
      : undefined;
  const sure = weighed !== undefined && weighed.confidence >= SURE;
  const known = useRef<number>(undefined);
  useEffect(() => {
    if (!sure || known.current === weighed.count) return;
    known.current = weighed.count;
    onCount?.(weighed.count);
  }, [sure, weighed?.count, onCount]);
  if (!unit)
    return (
      <Faint>
        To count {material.plural} on the scale,{' '}
        <Link to={`/fill/store/${material.id}/weigh`}>let it learn what one weighs</Link>.
      </Faint>
    );
  return (
    <Stack $gap="0.7rem">
      <Row $gap="1rem">
        <NumberBox
          name="tareG"
          label="Empty, it shows (g)"
          min={0}
          max={10_000}
          step={0.1}
          value={kept.tareG}
          onChange={(tareG) => set((old) => ({ ...old, tareG }))}
        />
        <NumberBox
          name="resolutionG"
          label="It shows steps of (g)"
          min={0.1}
          max={50}
          step={0.1}
          value={kept.resolutionG}
          onChange={(resolutionG) => set((old) => ({ ...old, resolutionG }))}
        />
        <NumberBox
          name="readingG"
          label="Now it shows (g)"
          min={0}
          max={50_000}
          step={0.1}
          value={readingG ?? Number.NaN}
          onChange={setReading}
        />
        <ReadScale
          onRead={(grams, resolutionG) => {
            setReading(grams);
            set((old) => ({ ...old, resolutionG }));
          }}
        />
      </Row>
      {weighed &&
        (sure ? (
          <Said
            kind={weighed.count === wanted ? 'done' : 'mind'}
            word={`${weighed.count} ${weighed.count === 1 ? material.name : material.plural}`}
            live
          >
            {weighed.count === wanted
              ? 'As many as are wanted. '
              : weighed.count < wanted
                ? `${wanted - weighed.count} too few. `
                : `${weighed.count - wanted} too many. `}
            Sure in {weighed.confidence > 0.9995 ? 'more than 99.9' : (weighed.confidence * 100).toFixed(1)}{' '}
            of 100.
          </Said>
        ) : (
          <Said kind="mind" word="Count them by hand" live>
            This weight can be {weighed.from} to {weighed.to} {material.plural}
            {weighed.countableUpTo === 0
              ? ': they differ too much from one another to be counted so.'
              : `: on this scale they can be told apart up to ${count(weighed.countableUpTo, 'piece')}.`}
          </Said>
        ))}
    </Stack>
  );
}
