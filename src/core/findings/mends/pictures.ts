import { masterOfSet, setsOf } from '../../pictures/master';
import { unmarkedIn, widestOf, type Cut, type Picture } from '../../pictures/picture';
import { usersOfPicture } from '../../project/documents';
import { mendOf, pictureLayer, pictureOf, type Mender } from '../mend';

const fileOf = (cut: Cut) => widestOf(cut.renditions);
const ratioOf = (cut: Cut) => fileOf(cut).widthPx / fileOf(cut).heightPx;

/** What a picture is of, by its name up to a comma, a bracket or a dash. */
const stem = ({ name }: Picture) =>
  name
    .split(/[,(–—]| - /)[0]!
    .trim()
    .toLowerCase();
/** Pictures that are called alike are of the same thing: “Harbour, large”, “Harbour, upright cut”. */
const areAkin = (a: Picture, b: Picture) => stem(a) === stem(b);

/** The other pictures that may be taken for one: those that are called alike. */
export const akinTo = (own: Picture, pictures: readonly Picture[]): Picture[] =>
  pictures.filter((p) => p !== own && areAkin(own, p));

/** Shapes this close are the same drawing, as far as a shape can say. */
const SAME_SHAPE = 0.02;

/** Another picture of the project as the cut of this one for the orientation that it is shaped for. */
export const otherCut: Mender = (sick) => {
  const layer = pictureLayer(sick);
  const { project } = sick.documents;
  const own = layer && pictureOf(sick, layer);
  if (!own) return [];
  return akinTo(own, project.pictures).flatMap((other) => {
    const [cut] = other.cuts;
    if (!cut || other.cuts.length > 1) return [];
    const shape = ratioOf(cut) < 1 ? 'portrait' : 'landscape';
    const isShapedAlike = own.cuts.some((c) => Math.abs(ratioOf(c) / ratioOf(cut) - 1) < SAME_SHAPE);
    // Of nearly square files neither orientation is theirs.
    if (own.cuts.some((c) => c.cut === shape) || isShapedAlike || Math.abs(Math.log(ratioOf(cut))) < 0.2)
      return [];
    const taken: Picture = { ...own, cuts: [...own.cuts, { ...cut, cut: shape }] };
    const pictures = project.pictures.map((p) => (p === own ? taken : p));
    const after = { ...sick.documents, project: { ...project, pictures } };
    return mendOf(
      sick,
      `In ${shape} take “${other.name}” as the cut of ${own.name}${stillToMark(own, cut)}`,
      after,
    );
  });
};

/** What nobody has marked on a cut is not missed there: it is said, so that it does not look kept. */
function stillToMark({ cuts }: Picture, cut: Cut): string {
  const missing = unmarkedIn([...cuts, cut], cut);
  if (missing.length === 0) return '';
  return `; ${missing.join(', ')} ${missing.length === 1 ? 'is' : 'are'} not marked on it yet`;
}

/** Another picture of the same shape with more pixels, or with none to count. */
export const largerPicture: Mender = (sick) => {
  const layer = pictureLayer(sick);
  const { pictures } = sick.documents.project;
  const own = layer && pictureOf(sick, layer);
  if (!own) return [];
  const largest = (p: Picture) =>
    Math.max(
      ...setsOf(p).map((s) =>
        s.files.some((f) => f.vector) ? Infinity : (masterOfSet(s.files)?.widthPx ?? 0),
      ),
    );
  return akinTo(own, pictures)
    .filter(
      (p) =>
        largest(p) > largest(own) &&
        own.cuts.every((c) =>
          p.cuts.some((o) => o.cut === c.cut && Math.abs(ratioOf(o) / ratioOf(c) - 1) < SAME_SHAPE),
        ),
    )
    .flatMap((p) => {
      const { documents, scene, finding } = sick;
      const layers = scene.layers.map((l) =>
        l.id === finding.subject.id && l.kind === 'picture' ? { ...l, picture: p.id } : l,
      );
      const marked = documents.project.pictures.map((one) => (one === p ? withMarksOf(own, p) : one));
      return mendOf(sick, `Show “${p.name}” instead, which has more pixels`, {
        project: { ...documents.project, pictures: marked },
        scenes: { ...documents.scenes, [scene.id]: { ...scene, layers } },
      });
    });
};

/** A picture of the same drawing with what has to be seen of it, where nobody has marked anything on it: otherwise nothing could be missed. */
const withMarksOf = (own: Picture, p: Picture): Picture => ({
  ...p,
  cuts: p.cuts.map((cut) => {
    const same = own.cuts.find((c) => c.cut === cut.cut);
    if (!same || cut.keepAreas.length > 0) return cut;
    return { ...cut, keepAreas: same.keepAreas, focalPoint: same.focalPoint };
  }),
});

/** The files of another picture of the same shape, taken into this one: every scene that shows it profits. */
export const largerFiles: Mender = (sick) => {
  const layer = pictureLayer(sick);
  const { project } = sick.documents;
  const own = layer && pictureOf(sick, layer);
  if (!own || usersOfPicture(own.id, sick.documents.scenes).length === 0) return [];
  return akinTo(own, project.pictures).flatMap((other) => {
    const cuts = own.cuts.map((cut) => {
      const same = other.cuts.find((c) => Math.abs(ratioOf(c) / ratioOf(cut) - 1) < SAME_SHAPE);
      const isLarger = same && (fileOf(same).vector || fileOf(same).widthPx > fileOf(cut).widthPx);
      return isLarger ? { ...cut, renditions: same.renditions } : cut;
    });
    if (cuts.every((c, i) => c === own.cuts[i])) return [];
    const pictures = project.pictures.map((p) => (p === own ? { ...own, cuts } : p));
    const after = { ...sick.documents, project: { ...project, pictures } };
    return mendOf(sick, `Take the larger files of “${other.name}” into ${own.name}`, after);
  });
};
