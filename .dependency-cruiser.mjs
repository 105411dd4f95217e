import { houseRules } from './scripts/floors.mjs';

/** The floors of the house: imports point downwards only. */
const floor = (name, from, to, comment) => ({ name, severity: 'error', comment, from: { path: from }, to });

const config = {
  forbidden: [
    { name: 'no-circular', severity: 'error', from: {}, to: { circular: true } },
    ...houseRules,
    floor(
      'core-is-pure',
      '^src/core/',
      {
        pathNot: [
          '^src/core/',
          '^node_modules/(zod|culori|fastest-levenshtein|@noble/hashes)/',
          '^node_modules/@types/culori/',
        ],
      },
      'core imports nothing but zod and the mathematics of colours, of digests and of words that are alike',
    ),
    floor('core-tests', '^src/core/.*\\.test\\.ts$', { path: '^src/(formats|server|ui|app|workers|cli)/' }),
    floor('render-on-core', '^src/render/', { path: '^src/(formats|server|ui|app|workers|cli)/' }),
    floor('formats-on-render', '^src/formats/', { path: '^src/(server|ui|app|workers|cli)/' }),
    floor('workers-on-render', '^src/workers/', { path: '^src/(server|ui|app|cli)/' }),
    floor('server-on-render', '^src/server/', { path: '^src/(ui|app|workers|cli)/' }),
    floor('cli-on-server', '^src/cli/', { path: '^src/(ui|app|workers)/' }),
    floor('real-screen-on-formats', '^src/real-screen/', {
      path: ['^src/(server|ui|app|workers|cli)/', '^src/render/sharp'],
    }),
    floor('nothing-on-real-screen', '^src/(?!real-screen/)', { path: '^src/real-screen/' }),
    floor('ui-without-server', '^src/ui/', { path: ['^src/(server|app|cli)/', '^src/render/sharp'] }),
    floor('app-is-thin', '^src/app/', { path: ['^src/workers/', '^src/cli/', '^src/render/'] }),
  ].map((rule) =>
    rule.name === 'core-is-pure'
      ? { ...rule, from: { ...rule.from, pathNot: ['\\.test\\.ts$', '^src/core/testing/'] } }
      : rule,
  ),
  options: {
    doNotFollow: { path: 'node_modules' },
    tsConfig: { fileName: 'tsconfig.json' },
    tsPreCompilationDeps: true,
    enhancedResolveOptions: { exportsFields: ['exports'], conditionNames: ['import', 'require', 'types'] },
  },
};

export default config;
