import { useMemo, useState } from 'react';
import { seeded } from '~/core/chance/random';
import type { Variant } from '~/core/games/kit/game';
import { count } from '~/core/words/numbers';
import { Button } from '~/app/ui/Button';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { TextBox } from '~/app/ui/fields/TextBox';
import { Said } from '~/app/ui/Notices';
import { Faint, Row, Stack } from '~/app/ui/Page';

const MOST_SHOWN = 40;

/** Numbers typed for a layout: two to six whole numbers up to 20, or what is wrong with them. */
function readLaid(text: string): number[] | string {
  const words = text.split(/[\s,;]+/).filter(Boolean);
  const numbers = words.map(Number);
  const wrong = words.find((_, i) => !Number.isInteger(numbers[i]) || numbers[i]! < 0 || numbers[i]! > 20);
  if (wrong !== undefined) return `“${wrong}” is not a whole number from 0 to 20.`;
  return numbers.length < 2 || numbers.length > 6 ? 'Write two to six numbers, such as 3 8 1 6 2.' : numbers;
}

/** Every way from a layout to its target; a hint gives away one card at a time. */
export function Solver({ variant }: { variant: Variant }) {
  const [seed, setSeed] = useState(1);
  const dealt = useMemo(() => variant.deal(seeded(seed)), [variant, seed]);
  const [typed, setTyped] = useState<{ laid: string; target: number }>();
  const [given, setGiven] = useState(0);
  const text = typed?.laid ?? dealt.laid.join(' ');
  const target = typed?.target ?? dealt.target;
  const laid = readLaid(text);
  const solution = useMemo(() => {
    const numbers = readLaid(text);
    return typeof numbers === 'string' ? undefined : variant.solve(numbers, target);
  }, [variant, text, target]);
  const change = (next: Partial<{ laid: string; target: number }>): void => {
    setTyped({ laid: text, target, ...next });
    setGiven(0);
  };
  const shortest = solution?.ways[0];
  const all = shortest && given > shortest.cards.length;
  return (
    <Stack $gap="0.8rem">
      <Row style={{ alignItems: 'start' }}>
        <TextBox
          name="laid"
          label="Cards on the table"
          value={text}
          onChange={(value) => change({ laid: value })}
          error={typeof laid === 'string' ? laid : undefined}
        />
        <NumberBox
          name="target"
          label="Target"
          value={target}
          onChange={(value) => change({ target: value })}
          min={0}
          max={99}
        />
      </Row>
      {solution && (
        <div aria-live="polite">
          {!shortest ? (
            <Said kind="mind" word="No way">
              These cards do not reach {target}. Turn a new target.
            </Said>
          ) : all ? (
            <>
              <strong>
                {solution.more ? `More than ${solution.ways.length}` : solution.ways.length}{' '}
                {solution.ways.length === 1 ? 'way' : 'different ways'}, fewest cards first
              </strong>
              <ol style={{ columns: '14rem', marginTop: '0.4rem' }}>
                {solution.ways.slice(0, MOST_SHOWN).map((way) => (
                  <li key={way.text}>
                    {way.text} = {target}
                  </li>
                ))}
              </ol>
              {solution.ways.length > MOST_SHOWN && (
                <Faint>and {solution.ways.length - MOST_SHOWN} more.</Faint>
              )}
            </>
          ) : given === 0 ? (
            <p>There is a way. The shortest takes {count(shortest.cards.length, 'card')}.</p>
          ) : (
            <p>
              Hint: the shortest way uses <strong>{shortest.cards.slice(0, given).join(', ')}</strong>
              {given < shortest.cards.length && ` and ${count(shortest.cards.length - given, 'other card')}`}.
            </p>
          )}
        </div>
      )}
      <Row>
        <Button quiet isDisabled={!shortest || Boolean(all)} onPress={() => setGiven((n) => n + 1)}>
          {shortest && given >= shortest.cards.length ? 'Show every way' : 'Give one more card away'}
        </Button>
        <Button
          quiet
          isDisabled={!shortest || Boolean(all)}
          onPress={() => setGiven((shortest?.cards.length ?? 0) + 1)}
        >
          Show every way at once
        </Button>
        <Button
          onPress={() => {
            setSeed((n) => n + 1);
            setTyped(undefined);
            setGiven(0);
          }}
        >
          Deal anew
        </Button>
      </Row>
    </Stack>
  );
}
