import { LANGUAGES, type Language } from '~/core/words/languages';
import { Faint, Panel, TableFrame } from '~/app/ui/Page';

export interface ToldStep {
  id: string;
  /** The same step in each language. */
  texts: readonly string[];
}

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
    <Faint>Spanish is not yet checked by a fluent reader unless the words desk says so.</Faint>
    <TableFrame>
      <table>
        <thead>
          <tr>
            {languages.map((language) => (
              <th key={language}>{LANGUAGES[language].own}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {steps.map(({ id, texts }) => (
            <tr key={id}>
              {texts.map((text, i) => (
                <td key={languages[i]} lang={languages[i]}>
                  {text}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </TableFrame>
  </Panel>
);
