/** Answers that refuse a request, as the error pages expect them. */
import { data } from 'react-router';

/** 404: what the address names is not there. */
export const notFound = (what: string, text = 'It may have been removed, or the address may be wrong.') =>
  data({ title: `${what} is not here`, text }, { status: 404 });

/** 403: this role may not. */
export const notAllowed = () =>
  data(
    {
      title: 'This is not open to you',
      text: 'Your role does not include this page. Ask the coordinator if you need it.',
    },
    { status: 403 },
  );

/** 429: too often. */
export const tooOften = (text: string) => data({ title: 'Too many visits', text }, { status: 429 });
