'use client';
import { Button } from 'react-bootstrap';
import type { Picture } from '@/core/pictures/picture';
import type { Statistics } from '@/core/pixels/statistics';
import type { Paint } from '@/core/values/paint';
import { masterOf } from '../drawing/PictureThumb';
import { useWorkbench } from '../state/context';
import { useStatistics } from '../state/statistics';
import { Swatch } from './Swatch';

interface Offer {
  label: string;
  paint: Paint;
}

/** A colour for light, with another for dark where the dark file has another. */
const colour = (light: string | null, dark: string | null | undefined) =>
  light ? { light, ...(dark && dark !== light && { dark }) } : null;

/** Grounds that go with a picture: what its upper and its lower edge end in, both of them, and all of it. */
function offersOf(name: string, light: Statistics, dark: Statistics | undefined): Offer[] {
  const top = colour(light.edges.top, dark?.edges.top);
  const bottom = colour(light.edges.bottom, dark?.edges.bottom);
  const all = colour(light.average, dark?.average);
  const both: Paint | null = top &&
    bottom && {
      gradient: 'linear',
      angle: 180,
      stops: [
        { colour: top, at: 0 },
        { colour: bottom, at: 100 },
      ],
    };
  const offers: [string, Paint | null][] = [
    ['upper edge', top],
    ['lower edge', bottom],
    ['both edges', both],
    ['average', all],
  ];
  return offers.flatMap(([what, paint]) => (paint ? [{ label: `${what} of ${name}`, paint }] : []));
}

/** The pictures that are the background of some scene: what a ground has to go with. */
function useBackgrounds(): Picture[] {
  const { project, scenes } = useWorkbench((s) => s.documents);
  const used = new Set(
    Object.values(scenes).flatMap((s) =>
      s.layers.flatMap((l) => (l.kind === 'picture' && l.role === 'background' ? [l.picture] : [])),
    ),
  );
  return project.pictures.filter((p) => used.has(p.id));
}

/** Grounds suggested from the edges of the backgrounds, so that one runs into the other. */
export function GroundOffers({ onChoose }: { onChoose: (paint: Paint) => void }) {
  const pictures = useBackgrounds();
  const named = useWorkbench((s) => s.documents.project.named);
  const appearance = useWorkbench((s) => s.view.appearance);
  const files = pictures.map((p) => ({
    name: p.name,
    light: masterOf(p, 'light').hash,
    dark: masterOf(p, 'dark').hash,
  }));
  const statistics = useStatistics(files.flatMap((f) => [f.light, f.dark]));
  const offers = files.flatMap(({ name, light, dark }) => {
    const ofLight = statistics.get(light);
    return ofLight ? offersOf(name, ofLight, dark === light ? undefined : statistics.get(dark)) : [];
  });
  if (offers.length === 0) return null;
  return (
    <div className="bound offers" role="group" aria-label="From the pictures">
      <span className="choices-label">From the pictures</span>
      {offers.map(({ label, paint }) => (
        <Button key={label} variant="quiet" size="sm" onClick={() => onChoose(paint)}>
          <Swatch {...{ paint, named, appearance }} />
          {label}
        </Button>
      ))}
    </div>
  );
}
