/** Whether a text from an address or a form has the form of a row's id. */
export const isId = (text: unknown): text is string =>
  typeof text === 'string' && /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/i.test(text);
