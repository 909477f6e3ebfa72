import 'react-router';

declare module 'react-router' {
  /** What the web server tells every loader and action. */
  interface AppLoadContext {
    requestId: string;
    nonce: string;
    clientAddress: string;
  }
}
