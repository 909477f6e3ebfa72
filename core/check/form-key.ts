/** The field in which a form carries its key: what is sent twice under one key is done once. */
export const FORM_KEY = 'sentOnce';
