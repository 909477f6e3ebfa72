/** Under this name a browser keeps the page of the hall, which has names on it: it goes when somebody signs out. */
export const HALL_CACHE = 'fern-hall';
