/** What of a family can be looked at, as its log says it. */
export const LOOKS = {
  page: 'its page',
  level: 'where its children are',
  file: 'all that is known, as a file',
  picture: 'a picture of a child’s work',
  call: 'the questions by phone',
} as const;
export type Look = keyof typeof LOOKS;
