import { index, layout, route, type RouteConfig } from '@react-router/dev/routes';

export default [
  layout('routes/shell.tsx', [
    index('routes/home/route.tsx'),
    route('new', 'routes/new/route.tsx'),
    route('tables', 'routes/tables/route.tsx'),
    route('drills', 'routes/drills/route.tsx'),
    route('drills/:code', 'routes/drills/play.tsx'),
    route('house/:houseId', 'routes/house/route.tsx', [
      index('routes/house/index.tsx'),
      route('take-off', 'routes/house/take-off.tsx'),
      route('day', 'routes/house/day.tsx'),
      route('sheet', 'routes/house/sheet.tsx'),
      route('print', 'routes/house/print.tsx'),
    ]),
    route('job/:jobId', 'routes/job/route.tsx', [
      index('routes/job/index.tsx'),
      route('brief', 'routes/brief/route.tsx'),
      route('plan', 'routes/plan/route.tsx'),
      route('find', 'routes/find/route.tsx'),
      route('lay-out', 'routes/lay-out/route.tsx'),
      route('options', 'routes/options/route.tsx'),
      route('check', 'routes/check/route.tsx'),
      route('load', 'routes/check/moved.tsx'),
      route('make-up', 'routes/make-up/route.tsx'),
      route('energize', 'routes/energize/route.tsx'),
      route('test', 'routes/test/route.tsx'),
      route('take-off', 'routes/take-off/route.tsx'),
      route('day', 'routes/day/route.tsx'),
      route('record', 'routes/record/route.tsx'),
      route('packet', 'routes/packet/route.tsx'),
      route('print', 'routes/print/route.tsx'),
    ]),
    route('*', 'routes/not-found.tsx'),
  ]),
] satisfies RouteConfig;
