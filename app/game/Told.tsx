import type { Heard } from '~/core/games/kit/hearing';
import { HEARD_WORDS } from '~/core/words/family';
import { say, type Reading } from '~/core/words/reading';
import { aboutLanguage, type Language } from '~/core/words/languages';
import { Table } from '~/app/ui/Table';
import { Faint, Panel } from '~/app/ui/Page';

export interface ToldStep {
  id: string;
  /** The same step in each language. */
  texts: readonly string[];
}

/** What might be heard, after what can be said. */
export const heardIn = (heard: readonly Heard[], readings: readonly Reading[]): ToldStep[] =>
  heard.map(({ id, args }) => ({
    id,
    texts: readings.map((reading) => say(reading, HEARD_WORDS, id, args)),
  }));

/** The steps side by side, the same step on the same line. */
export const TellsIt = ({
  languages,
  steps,
}: {
  languages: readonly Language[];
  steps: readonly ToldStep[];
}) => (
  <Panel aria-labelledby="told">
    <h2 id="told">How it is told</h2>
    {languages.length > 1 && (
      <Faint>
        {aboutLanguage(languages[1]!).name} is not yet checked by a fluent reader unless the words desk says
        so.
      </Faint>
    )}
    <Table
      rows={steps}
      rowKey={({ id }) => id}
      columns={languages.map((language, i) => ({
        head: aboutLanguage(language).own,
        cell: ({ texts }: ToldStep) => (
          <span lang={language} dir={aboutLanguage(language).direction}>
            {texts[i]}
          </span>
        ),
      }))}
    />
  </Panel>
);
