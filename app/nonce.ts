import { createContext } from 'react';

/** The nonce of this page's Content-Security-Policy; undefined in the browser, where it is not needed again. */
export const NonceContext = createContext<string | undefined>(undefined);
