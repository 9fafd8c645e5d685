/** Arrows point one way: app → ui, server → core; workers → core; db → core; core → nothing but itself and zod. */
const test = '(\\.test\\.tsx?$|/testing/)';
const rule = (name, from, to, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from, pathNot: test },
  to,
});
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true, viaOnly: { dependencyTypesNot: ['type-only'] } },
    },
    rule(
      'core-is-pure',
      '^core/',
      { path: '^(app|ui|server|db|workers|devices|scripts|e2e)/' },
      'The core knows no interface, server or database.',
    ),
    rule(
      'core-imports-zod-only',
      '^core/',
      { dependencyTypes: ['npm', 'npm-dev', 'core'], pathNot: 'node_modules/zod/' },
      'The core depends on zod alone.',
    ),
    rule('units-at-the-bottom', '^core/units/', { path: '^core/(?!units/)' }),
    rule('larder-on-units', '^core/larder/', { path: '^core/(?!units/|larder/)' }),
    rule('kitchen-on-larder', '^core/kitchen/', { path: '^core/(?!units/|larder/|kitchen/)' }),
    rule('plan-on-kitchen', '^core/plan/', { path: '^core/(?!units/|larder/|kitchen/|plan/)' }),
    rule('heat-knows-no-cakes', '^core/heat/', { path: '^core/(?!units/|heat/)' }),
    rule(
      'mix-knows-no-plan',
      '^core/mix/',
      { path: '^core/(?!units/|larder/|heat/|mix/)' },
      'Laws of a stream; what a plan is comes with the flow.',
    ),
    rule('flow-under-families', '^core/flow/', { path: '^core/(?!units/|larder/|kitchen/|plan/|heat/|mix/|flow/)' }),
    rule('families-under-stations', '^core/families/', {
      path: '^core/(?!units/|larder/|kitchen/|plan/|heat/|mix/|flow/|families/)',
    }),
    rule('stations-under-steps', '^core/(vessel|steam|rest|cut|sear)/', {
      path: '^core/(families|steps|service|notebook|formats)/|^core/forecast',
    }),
    rule(
      'ui-not-to-db',
      '^ui/',
      { path: '^db/', dependencyTypesNot: ['type-only'] },
      'Pages hand data to the interface; types may be named.',
    ),
    rule('ui-not-to-app', '^ui/', { path: '^app/' }),
    rule('server-not-to-ui', '^server/', { path: '^(ui|app)/' }),
    rule('db-to-core-only', '^db/', { path: '^(app|ui|server|workers|devices)/' }),
    rule('devices-to-core-only', '^devices/', { path: '^(app|ui|server|db|workers)/' }),
    rule(
      'stove-over-notebook',
      '^core/(?!stove/)',
      { path: '^core/stove/' },
      'What is cooked now reads the notebook and the forecast; nothing in the core reads it.',
    ),
    rule(
      'life-over-forecast',
      '^core/(?!life/|stove/|compare/|start/)',
      { path: '^core/life/' },
      'The life of a cake is read off its forecast; no forecast reads it.',
    ),
    rule(
      'mind-over-forecast',
      '^core/(?!mind/|compare/|sweep/)',
      { path: '^core/(mind|compare|sweep)/' },
      'What is minded, compared or tried is worked out from forecasts; no forecast asks for it.',
    ),
    rule('workers-to-core-only', '^workers/', { path: '^(app|ui|server|db|devices)/' }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      mainFields: ['module', 'main', 'types'],
    },
  },
};
