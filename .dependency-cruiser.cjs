/** Arrows point one way: app → ui, server → core; workers → core; db → core; core → nothing but itself and zod. */
const test = '(\\.test\\.tsx?$|/testing/)';
const rule = (name, from, to, comment) => ({
  name,
  comment,
  severity: 'error',
  from: { path: from },
  to,
});
module.exports = {
  forbidden: [
    {
      name: 'no-circles',
      comment: 'Of files, by their types neither.',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'no-circles-of-rooms',
      severity: 'error',
      scope: 'folder',
      from: {},
      to: { circular: true },
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
    rule('heat-knows-no-cakes', '^core/model/heat/', { path: '^core/(?!units/|model/heat/)' }),
    rule(
      'models-know-no-plan',
      '^core/model/',
      { path: '^core/(?!units/|larder/|kitchen/|model/)' },
      'Arrays and plain records in and out; what a plan is comes with the flow.',
    ),
    rule('flow-under-families', '^core/flow/', { path: '^core/(?!units/|larder/|kitchen/|plan/|model/|flow/)' }),
    rule('families-under-stations', '^core/(families|sauces)/', {
      path: '^core/(?!units/|larder/|kitchen/|plan/|model/|flow/|families/|sauces/)',
    }),
    rule('the-cake-before-the-heat', '^core/cake/', {
      path: '^core/(?!units/|larder/|kitchen/|plan/|model/|flow/|families/|cake/)',
    }),
    rule(
      'stations-under-forecast',
      '^core/stations/',
      { path: '^core/(forecast|steps|explain|work|desk|formats)/' },
      'A station has a record, cooks it and says why; the forecast composes.',
    ),
    rule('steps-under-forecast', '^core/steps/', { path: '^core/(forecast|explain|work|desk|formats)/' }),
    rule('forecast-under-work', '^core/forecast/', { path: '^core/(explain|work|desk|formats)/' }),
    rule('work-under-desk', '^core/work/', { path: '^core/desk/' }),
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
      '^core/work/(timeline|notebook)/',
      { path: '^core/work/stove/' },
      'What is cooked now reads the notebook and the timeline; neither reads it.',
    ),
    rule('workers-to-core-only', '^workers/', { path: '^(app|ui|server|db|devices)/' }),
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    // Tests look wherever they like.
    exclude: { path: test },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
      mainFields: ['module', 'main', 'types'],
    },
  },
};
