/**
 * The floors and doors of the house. Each area of the sources is a pile of floors, given from the ground up; on each
 * floor stand rooms (folders) that know nothing of each other. A room uses those on floors below its own. `root` are
 * the files that lie in the folder of the area itself.
 */
export const FLOORS = {
  core: [
    ['geometry'],
    ['values'],
    ['patch'],
    ['words'],
    ['pixels'],
    ['fit'],
    ['screens'],
    ['placing'],
    ['pictures'],
    ['text'],
    ['tokens'],
    ['scene'],
    ['measure'],
    ['project'],
    ['icons'],
    ['survey'],
    ['solve'],
    ['map'],
    ['sentences'],
    ['steps'],
    ['hand'],
    ['explain'],
    ['findings'],
    ['files'],
    ['launch'],
    ['review'],
    ['since'],
    ['screenshot'],
  ],
  render: [['root'], ['report']],
  formats: [['text'], ['files', 'css', 'screens', 'real-screen', 'report'], ['sheet'], ['root'], ['api']],
  server: [
    ['root'],
    ['fonts', 'archives', 'db'],
    ['pictures'],
    ['drawing'],
    ['importing'],
    ['services'],
    ['exports', 'real-screen'],
    ['jobs'],
    ['store'],
  ],
  ui: [
    ['theme'],
    ['root'],
    ['state'],
    ['parts', 'drawing', 'hints'],
    [
      'cause',
      'fits',
      'import',
      'map',
      'marks',
      'pair',
      'screenshot',
      'sets',
      'sign-off',
      'sizes',
      'template',
      'valley',
    ],
    ['findings', 'real-screen', 'scene', 'screens', 'start', 'window'],
    ['icons', 'launch', 'ship'],
    ['workbench'],
  ],
};

/**
 * The doors of rooms that keep something to themselves: the files that others may import. All files of a room that is
 * not named here are doors.
 */
export const DOORS = {
  'core/explain': ['figure', 'reason'],
  'formats/css': ['broken', 'layer', 'page', 'scene', 'snippet'],
  'formats/report': ['html'],
  'formats/sheet': ['all', 'build', 'file-labels', 'markdown', 'schema', 'targets'],
  'render/report': ['make', 'report'],
  'server/drawing': [
    'cost',
    'drawn',
    'encode',
    'examine',
    'file-host',
    'icons',
    'limits',
    'queue',
    'read',
    'tasks',
  ],
  'server/fonts': ['fonts', 'read'],
  'server/importing': ['data-address', 'derive', 'faces', 'fetch', 'font', 'picture'],
  'server/jobs': ['jobs'],
  'server/real-screen': ['real-screens'],
  'server/store': ['open-store'],
  'cli/conformance': ['run'],
  'ui/cause': [
    'AcceptForm',
    'AppliedNote',
    'Because',
    'Mends',
    'Trying',
    'Why',
    'WorstHere',
    'acceptance',
    'say-cases',
    'useAnswers',
  ],
  'ui/findings': ['FindingsLens'],
  'ui/fits': ['FitsLens'],
  'ui/hints': ['hints', 'texts'],
  'ui/import': [
    'AddressForm',
    'EmptyProject',
    'ImportProvider',
    'ReplaceDialog',
    'dropped',
    'fonts',
    'handed',
    'imports',
  ],
  'ui/launch': ['LaunchLens'],
  'ui/map': ['SizeMapView'],
  'ui/marks': ['MarkDialog'],
  'ui/pair': ['PairView'],
  'ui/real-screen': ['DeviceChecks', 'OnNote', 'RealScreens', 'RealScreensPart'],
  'ui/scene': ['SceneColumn'],
  'ui/screens': ['CaseCell', 'CloseUp', 'Field', 'FieldTools'],
  'ui/screenshot': ['DropScreenshot', 'EvidenceList', 'Screenshots', 'useScreenshots'],
  'ui/sets': ['SetMenu', 'SetsLens'],
  'ui/ship': ['ShipLens'],
  'ui/sign-off': ['SignOffPart', 'SignedNote'],
  'ui/sizes': ['SizesLens'],
  'ui/start': ['EnterPage', 'SessionDialog', 'StartPage', 'StoreFault'],
  'ui/template': ['TemplateLens'],
  'ui/valley': ['LargeValley', 'ValleyStrip', 'limits'],
  'ui/window': ['FreeWindow'],
  'ui/workbench': ['Workbench'],
};

/** What a room's files are, as a regular expression over paths. */
const filesOf = (area, room) => (room === 'root' ? `^src/${area}/[^/]+$` : `^src/${area}/${room}/`);

/** Rules for dependency-cruiser: a room imports none of its own floor and none of a floor above it. */
const floorRules = Object.entries(FLOORS).flatMap(([area, floors]) =>
  floors.flatMap((rooms, i) =>
    rooms.map((room) => ({
      name: `${area}-${room}`,
      severity: 'error',
      comment: `src/${area}: ${room} uses rooms on the floors below it`,
      from: { path: filesOf(area, room), pathNot: String.raw`\.test\.tsx?$|/testing/` },
      to: {
        path: [...rooms.filter((r) => r !== room), ...floors.slice(i + 1).flat()].map((r) =>
          filesOf(area, r),
        ),
      },
    })),
  ),
);

/** Rules for dependency-cruiser: nobody imports what lies behind a door. */
const doorRules = Object.entries(DOORS).map(([room, doors]) => ({
  name: `doors-${room.replace('/', '-')}`,
  severity: 'error',
  comment: `src/${room} is entered by ${doors.join(', ')}`,
  from: { path: '^src/', pathNot: [`^src/${room}/`, String.raw`\.test\.tsx?$`] },
  to: { path: `^src/${room}/`, pathNot: String.raw`^src/${room}/(${doors.join('|')})\.tsx?$` },
}));

export const houseRules = [...floorRules.filter((r) => r.to.path.length > 0), ...doorRules];

/** The floors of an area as lines of text, the highest first, as a house is drawn. */
export const drawFloors = (area) =>
  FLOORS[area]
    .map((rooms, i) => `${String(i + 1).padStart(2)}  ${rooms.join(' · ')}`)
    .reverse()
    .join('\n');
