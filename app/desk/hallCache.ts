/**
 * Under this name a browser keeps the page of the hall, which has names on it: it goes when somebody signs out. It must
 * not be the name of a database: what lets cached pages grow old deletes one that is called as they are.
 */
export const HALL_CACHE = 'fern-hall-page';
