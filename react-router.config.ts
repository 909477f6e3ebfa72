import type { Config } from '@react-router/dev/config';

export default {
  appDirectory: 'app',
  ssr: true,
  // All routes are known from the start: found one by one, the search for /scan was cut off by the next keystroke.
  routeDiscovery: { mode: 'initial' },
} satisfies Config;
