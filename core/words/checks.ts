/** What fluent readers said about single lines of wording. */
export interface LineCheck {
  right: boolean;
  note: string;
  by: string;
}
/** The latest check of each line, as far as it was given for the line as it is now. Keys: "messageId language". */
export type LineChecks = Record<string, LineCheck>;

export const lineKey = (messageId: string, language: string): string => `${messageId} ${language}`;
