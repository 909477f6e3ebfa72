import type { GameRef } from '~/core/own/made';
import { Form } from '~/app/ui/sending';
import type { FieldErrors } from '~/core/check/check';
import { AGE_BANDS, placesOf, type AgeBand, type Params } from '~/core/games/kit/types';
import { recipeOf, type Recipe, type Swaps } from '~/core/kits/recipe';
import { ASSURANCES, type Assurance } from '~/core/kits/assurance';
import { partsCents, type CostAsked } from '~/core/kits/cost';
import { ENOUGH_ANSWERS, playsEach } from '~/core/kits/loan';
import { FINISHES, PAPERS, type Finish, type Paper } from '~/core/paper/sheet';
import { open } from '~/core/own/open';
import { FAMILY_WORDS } from '~/core/words/family';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { count, money } from '~/core/words/numbers';
import { ENGLISH, say } from '~/core/words/reading';
import type { AnyMaterialId, MaterialId } from '~/core/materials/catalogue';
import type { Catalogue } from '~/core/materials/school';
import { Button, ButtonLink, useSending } from '~/app/ui/Button';
import { plainValue, type FieldWords } from '~/app/ui/Changes';
import { Choice } from '~/app/ui/fields/Choice';
import { NumberBox } from '~/app/ui/fields/NumberBox';
import { Pick } from '~/app/ui/fields/Pick';
import { TextBox } from '~/app/ui/fields/TextBox';
import { TickBox } from '~/app/ui/fields/TickBox';
import { Notices, Said } from '~/app/ui/Notices';
import { NotSaved } from '~/app/ui/NotSaved';
import { Empty, Entered, Entries, Faint, Margin, Row, Panel, Stack } from '~/app/ui/Page';
import { Ordered } from '~/app/ui/Ordered';
import { useCatalogue } from '~/app/ui/catalogue';
import { Tray } from '~/app/desk/Tray';

export interface KitDraft {
  name: string;
  ageBand: AgeBand;
  players: number;
  paper: Paper;
  assurance: Assurance;
  finish: Finish;
  daysOut: number;
  playsAWeek: number;
  languages: Language[];
  swaps: Swaps;
  variantIds: string[];
}

export interface ChoosableVariant extends GameRef {
  id: string;
  name: string;
  params: Params;
  ageBand: AgeBand;
}

/** What the games of a draft are played with, whatever stands in for it. */
const materialsOf = (draft: KitDraft, variants: readonly ChoosableVariant[]): MaterialId[] => [
  ...new Set(
    draft.variantIds.flatMap((id) => {
      const found = variants.find((variant) => variant.id === id);
      return found
        ? open(found)
            .needs(draft.ageBand)
            .parts.map(({ material }) => material)
        : [];
    }),
  ),
];

/** The recipe of a draft, reckoned as it is changed. */
export const recipeOfDraft = (
  draft: KitDraft,
  variants: readonly ChoosableVariant[],
  catalogue: Catalogue,
): Recipe =>
  recipeOf(
    {
      ageBand: draft.ageBand,
      players: draft.players,
      assurance: draft.assurance,
      finish: draft.finish,
      plays: playsEach(draft.variantIds.length, draft),
      variants: draft.variantIds
        .flatMap((id) => variants.find((variant) => variant.id === id) ?? [])
        .map(({ gameId, own, name, params }) => ({ gameId, own, name, params })),
      swaps: draft.swaps,
    },
    catalogue,
  );

/** The places of a basket's games, each with the games that can be played there. */
function whereOf(variants: Recipe['variants']): ShownRecipe['where'] {
  const found = new Map<string, string[]>();
  for (const { variant } of variants)
    for (const id of placesOf(open(variant).game)) {
      const place = say(ENGLISH, FAMILY_WORDS, id);
      found.set(place, [...(found.get(place) ?? []), variant.name]);
    }
  return [...found].map(([place, games]) => ({ place, games: [...new Set(games)] }));
}

/** What a kit's page shows of a recipe. */
export type ShownRecipe = Pick<Recipe, 'parts' | 'notices' | 'minutes' | 'costCents'> & {
  games: number;
  /** Where its games can be played, and which of them. */
  where: { place: string; games: string[] }[];
};
export const shownOf = ({ parts, notices, minutes, costCents, variants }: Recipe): ShownRecipe => ({
  parts,
  notices,
  minutes,
  costCents,
  games: variants.length,
  where: whereOf(variants),
});

const LABELS: Record<string, string> = {
  name: 'Name',
  ageBand: 'Grade band',
  players: 'Players',
  paper: 'Paper',
  assurance: 'How many of each part',
  finish: 'Finish',
  daysOut: 'Days a loan lasts',
  playsAWeek: 'Plays a week',
  languages: 'Language packs',
  swaps: 'What stands in',
  variantIds: 'Games',
};
/** The fields of a kit in words. */
export const kitFields = (variants: readonly ChoosableVariant[], catalogue: Catalogue): FieldWords => ({
  label: (field) => LABELS[field] ?? field,
  show: (field, value) =>
    field === 'variantIds'
      ? plainValue(
          (value as string[]).map((id) => variants.find((one) => one.id === id)?.name ?? 'a game put away'),
        )
      : field === 'ageBand'
        ? AGE_BANDS[value as AgeBand]
        : field === 'finish'
          ? FINISHES[value as Finish]
          : field === 'languages'
            ? plainValue((value as Language[]).map((one) => aboutLanguage(one).name))
            : field === 'swaps'
              ? plainValue(
                  Object.entries(value as Swaps).map(
                    ([usual, by]) => `${catalogue.of(by).plural} for ${catalogue.of(usual).plural}`,
                  ),
                )
              : field === 'assurance'
                ? ASSURANCES[value as Assurance]
                : field === 'paper'
                  ? PAPERS[value as Paper].name
                  : plainValue(value),
});

/** What families told of how often they play. */
export interface Heard {
  answers: number;
  playsAWeek: number;
}

interface KitFormProps {
  draft: KitDraft;
  /** The version of the kit that the form stands on; none for a new one. */
  version?: number;
  onChange: (change: Partial<KitDraft>) => void;
  onSubmit: () => void;
  variants: readonly ChoosableVariant[];
  errors: FieldErrors;
  action: string;
  /** What answers say about plays a week, where there are enough of them. */
  heard?: Heard | undefined;
  /** Languages beside English that the school has. */
  languages: readonly string[];
}

/** What a kit is for and what is in it. */
/** Why so many plays are reckoned with, and what families told. */
const playsWhy = ({ daysOut, playsAWeek, variantIds }: KitDraft, heard: Heard | undefined): string => {
  const each = playsEach(variantIds.length, { daysOut, playsAWeek });
  const so = each
    ? `Sheets that are written on are reckoned for ${count(each, 'play')} of each game in a loan, unless they are laminated. `
    : '';
  return heard === undefined || heard.answers === 0
    ? `${so}How often families play is an assumption until they tell.`
    : `${so}${count(heard.answers, 'answer')} so far: ${heard.playsAWeek.toFixed(1)} plays a week${heard.answers < ENOUGH_ANSWERS ? `, and ${ENOUGH_ANSWERS} are needed to say much` : ''}.`;
};

export function KitForm({
  draft,
  version,
  onChange,
  onSubmit,
  variants,
  errors,
  action,
  heard,
  languages,
}: KitFormProps) {
  const busy = useSending();
  const catalogue = useCatalogue();
  const toggle = (id: string, on: boolean): void =>
    onChange({ variantIds: on ? [...draft.variantIds, id] : draft.variantIds.filter((one) => one !== id) });
  const inside = draft.variantIds.flatMap((id) => {
    const found = variants.find((one) => one.id === id);
    return found ? [{ id, name: found.name }] : [];
  });
  return (
    <Form method="post" onSubmit={onSubmit}>
      <input type="hidden" name="intent" value="save" />
      <Stack>
        {version !== undefined && <input type="hidden" name="version" value={version} />}
        <NotSaved errors={errors} />
        <Row $gap="1.4rem">
          <TextBox
            name="name"
            label="Name of the kit"
            value={draft.name}
            onChange={(name) => onChange({ name })}
            error={errors.name}
            maxLength={60}
          />
          <Pick
            name="ageBand"
            label="For which grade band"
            value={draft.ageBand}
            onChange={(value) => onChange({ ageBand: value as AgeBand })}
            options={Object.entries(AGE_BANDS).map(([value, label]) => ({ value, label }))}
            error={errors.ageBand}
          />
          <NumberBox
            name="players"
            label="Players"
            value={draft.players}
            onChange={(players) => onChange({ players })}
            min={1}
            max={6}
            error={errors.players}
          />
        </Row>
        <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
          <legend style={{ fontWeight: 700, padding: 0 }}>Games in the basket</legend>
          {variants.length === 0 && (
            <Empty
              title="No variant to put in"
              action={<ButtonLink href="/choose">Choose a game</ButtonLink>}
            >
              Save a variant on a game bench first.
            </Empty>
          )}
          {variants.map((variant) => (
            <TickBox
              key={variant.id}
              isSelected={draft.variantIds.includes(variant.id)}
              onChange={(on) => toggle(variant.id, on)}
            >
              {variant.name} <Faint as="span">({AGE_BANDS[variant.ageBand]})</Faint>
            </TickBox>
          ))}
          {draft.variantIds.map((id) => (
            <input key={id} type="hidden" name="variantIds" value={id} />
          ))}
          {inside.length > 1 && (
            <Stack $gap="0.3rem" style={{ marginTop: '0.8rem' }}>
              <strong id="order">In this order they are explained and packed</strong>
              <Ordered
                label="Order of the games"
                items={inside}
                onOrder={(variantIds) => onChange({ variantIds })}
              />
              <Faint>
                Drag a game by its grip; with the keyboard press Enter on the grip, then the arrows.
              </Faint>
            </Stack>
          )}
          {errors.variantIds && (
            <Said kind="mind" word="Look here">
              {errors.variantIds}
            </Said>
          )}
        </fieldset>
        <Row $gap="1.4rem">
          <Choice
            name="assurance"
            label="How many of each part"
            value={draft.assurance}
            onChange={(value) => onChange({ assurance: value as Assurance })}
            options={Object.entries(ASSURANCES).map(([value, label]) => ({ value, label }))}
            error={errors.assurance}
          />
          <Choice
            name="paper"
            label="Paper"
            value={draft.paper}
            onChange={(paper) => onChange({ paper: paper as Paper })}
            options={[
              { value: 'letter', label: 'Letter' },
              { value: 'a4', label: 'A4' },
            ]}
            error={errors.paper}
          />
          <Choice
            name="finish"
            label="Finish"
            value={draft.finish}
            onChange={(finish) => onChange({ finish: finish as Finish })}
            options={Object.entries(FINISHES).map(([value, label]) => ({ value, label }))}
            error={errors.finish}
          />
        </Row>
        <Row $gap="1.4rem">
          <NumberBox
            name="daysOut"
            label="Days a loan lasts"
            min={1}
            max={120}
            value={draft.daysOut}
            onChange={(daysOut) => onChange({ daysOut })}
            error={errors.daysOut}
          />
          <NumberBox
            name="playsAWeek"
            label="Plays a week"
            min={1}
            max={21}
            value={draft.playsAWeek}
            onChange={(playsAWeek) => onChange({ playsAWeek })}
            error={errors.playsAWeek}
          />
        </Row>
        <Faint>{playsWhy(draft, heard)}</Faint>
        {languages.filter((one) => one !== 'en').length > 1 && (
          <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
            <legend style={{ fontWeight: 700, padding: 0 }}>Language packs, beside English</legend>
            <Row $gap="1.4rem">
              {languages
                .filter((one) => one !== 'en')
                .map((one) => (
                  <TickBox
                    key={one}
                    name="languages"
                    value={one}
                    isSelected={draft.languages.includes(one)}
                    onChange={(on) =>
                      onChange({
                        languages: on
                          ? [...draft.languages, one]
                          : draft.languages.filter((other) => other !== one),
                      })
                    }
                  >
                    {aboutLanguage(one).name}
                  </TickBox>
                ))}
            </Row>
            <Faint>Without a tick, packs can be in every language of the school.</Faint>
            {errors.languages && (
              <Said kind="mind" word="Look here">
                {errors.languages}
              </Said>
            )}
          </fieldset>
        )}
        <Swapping
          draft={draft}
          variants={variants}
          catalogue={catalogue}
          onChange={onChange}
          error={errors.swaps}
        />
        <Row>
          <Button type="submit" isPending={busy}>
            {action}
          </Button>
        </Row>
      </Stack>
    </Form>
  );
}

/** Parts for which another kind in the store can stand in, and which does. */
function Swapping({
  draft,
  variants,
  catalogue,
  onChange,
  error,
}: Pick<KitFormProps, 'draft' | 'variants' | 'onChange'> & {
  catalogue: Catalogue;
  error?: string | undefined;
}) {
  const needed = materialsOf(draft, variants);
  const choices = needed.flatMap((material) => {
    const by = catalogue.standIns.filter(
      (one) => one.for === material && (!catalogue.putAway.has(one.by) || draft.swaps[material] === one.by),
    );
    return by.length ? [{ material, by }] : [];
  });
  if (choices.length === 0) return null;
  return (
    <fieldset style={{ border: 0, margin: 0, padding: 0 }}>
      <legend style={{ fontWeight: 700, padding: 0 }}>What stands in</legend>
      <Row $gap="1.4rem">
        {choices.map(({ material, by }) => {
          const usual = catalogue.of(material).plural;
          const now = by.find((one) => one.by === draft.swaps[material]);
          return (
            <Pick
              key={material}
              name={`swap ${material}`}
              label={`For ${usual}`}
              value={now?.by ?? ''}
              onChange={(value) => {
                const { [material]: _, ...others } = draft.swaps;
                onChange({ swaps: value ? { ...others, [material]: value as AnyMaterialId } : others });
              }}
              options={[
                { value: '', label: usual },
                ...by.map((one) => ({ value: one.by, label: catalogue.of(one.by).plural })),
              ]}
              hint={now?.changes}
            />
          );
        })}
      </Row>
      {error && (
        <Said kind="mind" word="Look here">
          {error}
        </Said>
      )}
    </fieldset>
  );
}

/** The tray and, below it, where each number comes from. */
export const Contents = ({ recipe }: { recipe: ShownRecipe }) => (
  <Panel aria-labelledby="tray">
    <Stack $gap="0.8rem">
      <h2 id="tray">One copy holds</h2>
      {recipe.parts.length === 0 ? (
        <Faint>Tick a game, and its parts are counted here.</Faint>
      ) : (
        <Tray parts={recipe.parts} />
      )}
      {recipe.where.length > 0 && (
        <>
          <h3>Where its games can be played</h3>
          <ul style={{ margin: 0, paddingInlineStart: '1.2rem' }}>
            {recipe.where.map(({ place, games }) => (
              <li key={place}>
                {place}: {games.join(', ')}
              </li>
            ))}
          </ul>
        </>
      )}
    </Stack>
  </Panel>
);

export function RecipeMargin({ recipe, offers = [] }: { recipe: ShownRecipe; offers?: CostAsked['offers'] }) {
  const catalogue = useCatalogue();
  return (
    <Stack>
      <Notices notices={recipe.notices} />
      <Margin label="Reckonings">
        <Entries>
          {recipe.parts.map((part) => (
            <Entered
              key={part.material}
              label={catalogue.of(part.material).plural}
              number={String(part.quantity)}
              reason={part.reasons.join(' ')}
            />
          ))}
          {recipe.parts.length > 0 && (
            <Entered
              label="Everything once"
              number={String(recipe.minutes)}
              unit="minutes expected"
              reason={
                recipe.games === 1 ? 'Its one game.' : `${count(recipe.games, 'game')}, one after the other.`
              }
            />
          )}
          {recipe.parts.length > 0 && (
            <Entered
              label="Parts for one copy"
              number={money(partsCents(recipe.parts, offers, catalogue))}
              reason={`At the ${offers.length ? 'cheapest of your offers for each; the catalogue’s where you have none' : 'prices of the catalogue'}. Packs are shared out; paper is not among them.`}
            />
          )}
        </Entries>
      </Margin>
    </Stack>
  );
}
