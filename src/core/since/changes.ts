import type { Documents } from '../project/documents';
import { changedPlaces, type Changed, type Place } from '../project/places';
import { sameJson } from '../patch/patch';
import type { Picture } from '../pictures/picture';
import type { Screen } from '../screens/screen';
import { sayPlace, saySides } from '../sentences/differences';
import { countOf } from '../words/words';

/** A project as it stands: its documents, and every screen that it is looked at on. */
export interface Stand {
  documents: Documents;
  screens: readonly Screen[];
}

/** What was changed as one thing, so that it can be taken back alone. */
export interface Unit {
  /** what all its changes have in common */
  place: Place;
  changes: Changed[];
  title: string;
  before: string;
  after: string;
  /** whether it decides which screens there are, or what they are like */
  ofScreens: boolean;
}

/** What says nothing about how anything is drawn or judged, or stands elsewhere as well. */
const SILENT = new Set(['name', 'schema', 'scenes', 'id', 'naming', 'tokens', 'evidence', 'checked']);
const OF_SCREENS = new Set(['screens', 'screenSets', 'setInUse', 'axes', 'ratios', 'weights', 'iconSets']);

/** A layer is changed key by key, an entry of a list of the project as a whole. */
const unitPlace = (place: Place): Place => place.slice(0, place[0] === 'scenes' ? 5 : 3);

const filesIn = ({ cuts }: Picture) => cuts.flatMap((c) => c.renditions.map((r) => r.hash)).toSorted();

/** What became of a picture, in a few words. */
function sayPicture(before: Picture, after: Picture): string {
  const [was, is] = [filesIn(before), filesIn(after)];
  const fresh = is.filter((hash) => !was.includes(hash)).length;
  const gone = was.filter((hash) => !is.includes(hash)).length;
  const marks = ({ cuts }: Picture) => cuts.map((c) => [c.cut, c.keepAreas]);
  const focal = ({ cuts }: Picture) => cuts.map((c) => [c.cut, c.focalPoint]);
  const said = [
    fresh > 0 &&
      (gone > 0 ? (fresh === 1 ? 'another file' : `${fresh} other files`) : `${countOf(fresh, 'file')} more`),
    fresh === 0 && gone > 0 && `${countOf(gone, 'file')} fewer`,
    !sameJson(marks(before), marks(after)) && 'other keep areas',
    !sameJson(focal(before), focal(after)) && 'another focal point',
  ].filter(Boolean);
  return `${after.name}: ${said.join(', ') || 'its description'}`;
}

/** The files of a picture: how many, and how large the largest is. */
function sayFiles({ cuts }: Picture): string {
  const files = cuts.flatMap((c) => c.renditions);
  const [largest] = files.toSorted((a, b) => b.widthPx * b.heightPx - a.widthPx * a.heightPx);
  const size = largest
    ? `, ${files.length > 1 ? 'up to ' : ''}${largest.widthPx} × ${largest.heightPx} px`
    : '';
  return `${countOf(files.length, 'file')}${size}`;
}

/** How a picture was and is, where its files are others; else by what differs. */
function sayFilesOf(
  place: Place,
  before: Documents,
  after: Documents,
): Pick<Unit, 'before' | 'after'> | null {
  if (place[0] !== 'project' || place[1] !== 'pictures') return null;
  const [was, is] = [pictureIn(before, place[2]!), pictureIn(after, place[2]!)];
  if (!was || !is || sameJson(filesIn(was), filesIn(is))) return null;
  return { before: sayFiles(was), after: sayFiles(is) };
}

const pictureIn = ({ project }: Documents, id: string) => project.pictures.find((p) => p.id === id);

function titleOf(place: Place, before: Documents, after: Documents): string {
  if (place[0] === 'project' && place[1] === 'pictures' && place.length === 3) {
    const [was, is] = [pictureIn(before, place[2]!), pictureIn(after, place[2]!)];
    if (was && is) return sayPicture(was, is);
  }
  return sayPlace(place, [after, before]);
}

function unitOf(
  place: Place,
  changes: Changed[],
  { before, after }: Record<'before' | 'after', Documents>,
): Unit {
  const [first] = changes;
  const whole = changes.length === 1 ? first! : { place, before: changes, after: null };
  const sides = saySides(
    { place: whole.place, mine: whole.before, theirs: whole.after },
    { mine: before, theirs: after },
  );
  const said =
    sayFilesOf(place, before, after) ??
    (changes.length === 1 ? { before: sides.mine, after: sides.theirs } : { before: '', after: '' });
  const ofScreens = place[0] === 'project' && OF_SCREENS.has(place[1] ?? '');
  return { place, changes, title: titleOf(place, before, after), ...said, ofScreens };
}

/** The screens that come with the product were described otherwise then. */
function catalogueUnit(before: Stand, after: Stand): Unit[] {
  const own = new Set((after.documents.project.screens ?? []).map((s) => s.id));
  const was = new Map(before.screens.map((s) => [s.id, s]));
  const other = after.screens.filter((s) => {
    const then = was.get(s.id);
    return then && !own.has(s.id) && !sameJson({ ...then, weight: 0 }, { ...s, weight: 0 });
  });
  if (other.length === 0) return [];
  const said = { before: 'as they were known then', after: 'as they are known now' };
  const title = `Figures of ${countOf(other.length, 'screen')} that come with the product`;
  return [{ place: ['screens'], changes: [], title, ...said, ofScreens: true }];
}

/** Everything that was changed between two states of a project, each as one thing that can be taken back alone. */
export function unitsBetween(before: Stand, after: Stand): Unit[] {
  const units = new Map<string, { place: Place; changes: Changed[] }>();
  for (const change of changedPlaces(before.documents, after.documents)) {
    const [root, key] = change.place;
    if (root === 'project' && SILENT.has(key ?? '')) continue;
    const place = unitPlace(change.place);
    const name = JSON.stringify(place);
    const unit = units.get(name) ?? { place, changes: [] };
    unit.changes.push(change);
    units.set(name, unit);
  }
  const sides = { before: before.documents, after: after.documents };
  return [
    ...[...units.values()].map(({ place, changes }) => unitOf(place, changes, sides)),
    ...catalogueUnit(before, after),
  ];
}
