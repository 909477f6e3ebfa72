import 'react-router';

declare module 'react-router' {
  /** What the web server tells every loader and action, and what it is told. */
  interface AppLoadContext {
    requestId: string;
    nonce: string;
    clientAddress: string;
    /** Why a page of the application failed, when the server can say it better. */
    trouble?: { status: 400 | 503; kind: 'away' | 'busy' | 'empty' | 'unreadable' };
  }
}
