/** The table of contents: every address of the application. */
import { index, layout, prefix, route, type RouteConfig } from '@react-router/dev/routes';

export default [
  index('routes/home.tsx'),
  route('set-up', 'routes/people/set-up.tsx'),
  route('sign-in', 'routes/people/sign-in.tsx'),
  route('sign-out', 'routes/people/sign-out.ts'),
  route('new-password/:key', 'routes/people/new-password.tsx'),

  layout('routes/staff.tsx', [
    ...prefix('choose', [
      index('routes/choose/shelf.tsx'),
      route('deck', 'routes/choose/deck.tsx'),
      route('compare', 'routes/choose/compare.tsx'),
      ...prefix('own', [
        route('new', 'routes/choose/own-new.tsx'),
        route('import', 'routes/choose/own-import.tsx'),
        route(':ownId', 'routes/choose/own-edit.tsx'),
      ]),
      route(':gameId', 'routes/choose/bench.tsx'),
    ]),
    ...prefix('fill', [
      index('routes/fill/kits.tsx'),
      route('new', 'routes/fill/new.tsx'),
      ...prefix('store', [
        index('routes/fill/store.tsx'),
        route('count', 'routes/fill/store-count.tsx'),
        route('import', 'routes/fill/store-import.tsx'),
        route('add', 'routes/fill/store-add.tsx'),
        route(':material', 'routes/fill/store-item.tsx'),
        route(':material/weigh', 'routes/fill/store-weigh.tsx'),
        route(':material/about', 'routes/fill/store-about.tsx'),
      ]),
      ...prefix('runs', [
        index('routes/fill/runs.tsx'),
        route('new', 'routes/fill/run-new.tsx'),
        route(':runId', 'routes/fill/run.tsx'),
        route(':runId/make', 'routes/fill/run-make.tsx'),
        route(':runId/afternoon', 'routes/fill/run-afternoon.tsx'),
      ]),
      route('scale', 'routes/fill/scale.tsx'),
      route(':kitId', 'routes/fill/kit.tsx'),
      route(':kitId/afternoon', 'routes/fill/afternoon.tsx'),
    ]),
    ...prefix('word', [
      index('routes/word/games.tsx'),
      route('readers', 'routes/word/readers.tsx'),
      route('out-and-in', 'routes/word/out-and-in.tsx'),
      route(':gameId', 'routes/word/desk.tsx'),
      route(':gameId/:messageId', 'routes/word/line.tsx'),
    ]),
    ...prefix('print', [
      index('routes/print/pack.tsx'),
      route('prices', 'routes/print/prices.tsx'),
      route('jobs/:jobId', 'routes/print/job.tsx'),
    ]),
    ...prefix('lend', [
      index('routes/lend/desk.tsx'),
      ...prefix('families', [
        index('routes/lend/families.tsx'),
        route('new', 'routes/lend/family-new.tsx'),
        route('import', 'routes/lend/families-import.tsx'),
        route(':familyId', 'routes/lend/family.tsx'),
      ]),
    ]),
    ...prefix('take-back', [
      index('routes/take-back/out.tsx'),
      route('tasks', 'routes/take-back/tasks.tsx'),
      route(':loanId', 'routes/take-back/check.tsx'),
    ]),
    route('people', 'routes/people/staff-list.tsx'),
    route('school', 'routes/people/school.tsx'),
    route('schools', 'routes/people/schools.tsx'),
    ...prefix('district', [
      index('routes/district/overview.tsx'),
      route('shared', 'routes/district/shared.tsx'),
      route('move', 'routes/district/move.tsx'),
    ]),
    route('me', 'routes/people/me.tsx'),
    route('listen', 'routes/listen/answers.tsx'),
    route('look-back', 'routes/look-back/overview.tsx'),
    route('copies/:copyId', 'routes/look-back/copy.tsx'),
    route('*', 'routes/not-found.tsx'),
  ]),

  route('scan', 'routes/scan.ts'),
  route('take-back/:loanId/verdict', 'routes/take-back/verdict.ts'),
  route('choose/own/:ownId.json', 'routes/choose/own-json.ts'),
  route('own-game.schema.json', 'routes/choose/own-schema.ts'),
  route('print/calibration.pdf', 'routes/print/calibration-pdf.ts'),
  route('print/page.svg', 'routes/print/page-svg.tsx'),
  route('print/jobs/:jobId/progress', 'routes/print/job-progress.ts'),
  route('print/jobs/:jobId.pdf', 'routes/print/job-pdf.ts'),
  route('fill/scale/reading', 'routes/fill/scale-reading.ts'),
  route('fill/store.csv', 'routes/fill/store-csv.ts'),
  route('lend/families.csv', 'routes/lend/families-csv.ts'),

  route('word/lines/:file', 'routes/word/lines-file.ts'),
  route('word/voices/:voiceId', 'routes/word/voice.ts'),
  route('read/:key', 'routes/read/reader.tsx'),
  route('read/:key/voice/:voiceId', 'routes/read/voice.ts'),
  ...prefix('p/:linkKey', [
    index('routes/play/game.tsx'),
    route('voice/:voiceId', 'routes/play/voice.ts'),
    route('answer', 'routes/play/answer.tsx'),
  ]),
] satisfies RouteConfig;
