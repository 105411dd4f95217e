'use client';
import { useMemo, useState } from 'react';
import { Button } from 'react-bootstrap';
import { FIT_LABELS, FIT_PRESETS, withPreset } from '@/core/fit/presets';
import type { Fit, FitName } from '@/core/fit/rule';
import type { Picture } from '@/core/pictures/picture';
import type { Case } from '@/core/screens/cases';
import { isPortrait, orientationOf } from '@/core/screens/turn';
import { templateOf, type Template } from '@/core/solve/template';
import { lu } from '@/core/values/values';
import { sayDensity, sayNumber, sayShare, saySize } from '@/core/words/numbers';
import { countOf } from '@/core/words/words';
import { templateSvg, TEMPLATE_GROUPS, TEMPLATE_WORDS } from '@/formats/template-svg';
import { messageOf } from '../api';
import { Choices } from '../parts/Choices';
import { download } from '../parts/download';
import { NumberField } from '../parts/NumberField';
import { masterOf, PictureThumb } from '../drawing/PictureThumb';
import { useCounted, useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { backgroundOf } from '../state/edit';
import { useSetInUse } from '../state/useSets';
import { pngOf } from './png';

const HELD = [
  { value: 'all', label: 'all' },
  { value: 'portrait', label: 'upright' },
  { value: 'landscape', label: 'turned' },
] as const;
type Held = (typeof HELD)[number]['value'];

const SHAPES = [
  { value: 'smallest', label: 'the smallest' },
  { value: 'picture', label: 'like the picture' },
  { value: 'given', label: 'of a ratio' },
] as const;
type Shape = (typeof SHAPES)[number]['value'];

const FITS = FIT_PRESETS.filter((f): f is FitName => f !== 'tile' && f !== 'natural' && f !== 'scale-down');
const DENSITIES = ['1', '2', '3', '4'] as const;

const at = (percent: number) => ({ percent, offset: lu(0) });
const CENTRED: Fit = {
  size: 'cover',
  repeat: { x: 'no-repeat', y: 'no-repeat' },
  align: { kind: 'position', x: at(50), y: at(50) },
  clip: true,
  cornerRadius: lu(0),
};

/** What is asked of the template: it starts from the background of the open scene. */
function useAskedTemplate() {
  const background = backgroundOf(useScene());
  const [fit, setFit] = useState<Fit>(() => background?.fit ?? CENTRED);
  const [held, setHeld] = useState<Held>('all');
  const [shape, setShape] = useState<Shape>('smallest');
  const [ratio, setRatio] = useState(4 / 3);
  return { fit, setFit, held, setHeld, shape, setShape, ratio, setRatio };
}
type Asked = ReturnType<typeof useAskedTemplate>;

function Controls({ fit, setFit, held, setHeld, shape, setShape, ratio, setRatio }: Asked) {
  const { align } = fit;
  const position = align.kind === 'position' ? align : { kind: 'position' as const, x: at(50), y: at(50) };
  const place = (axis: 'x' | 'y', percent: number) =>
    setFit({ ...fit, align: { ...position, [axis]: at(percent) } });
  return (
    <div className="template-controls">
      <Choices
        label="Fit"
        options={FITS.map((value) => ({ value, label: FIT_LABELS[value] }))}
        value={typeof fit.size === 'string' ? fit.size : undefined}
        onChoose={(size) => setFit(withPreset(fit, size))}
      />
      <Choices label="Screens held" options={HELD} value={held} onChoose={setHeld} />
      <Choices label="Canvas" options={SHAPES} value={shape} onChoose={setShape} />
      {shape === 'given' && (
        <NumberField
          label="Ratio, width : height"
          min={0.2}
          max={5}
          step={0.01}
          value={ratio}
          onChange={setRatio}
          onCommit={() => {}}
        />
      )}
      {(['x', 'y'] as const).map((axis) => (
        <NumberField
          key={axis}
          label={axis === 'x' ? 'Aligned across' : 'Aligned down'}
          unit="%"
          min={0}
          max={100}
          value={position[axis].percent}
          onChange={(percent) => place(axis, percent)}
          onCommit={() => {}}
        />
      ))}
    </div>
  );
}

/** A part of the canvas in px of a density, and as a share. */
function sayPart(rect: Template['seen'], { canvas }: Template, density: number): string {
  if (!rect) return 'none';
  const px = {
    width: Math.floor(rect.width * canvas.width * density),
    height: Math.floor(rect.height * canvas.height * density),
  };
  const from = `${Math.ceil(rect.x * canvas.width * density)}, ${Math.ceil(rect.y * canvas.height * density)}`;
  return `${saySize(px)} px from ${from} · ${sayShare(rect.width * rect.height)} of the canvas`;
}

function Facts({ template, density }: { template: Template; density: number }) {
  const { canvas, seen, safe, cutouts } = template;
  const px = { width: Math.ceil(canvas.width * density), height: Math.ceil(canvas.height * density) };
  const rows: [string, string][] = [
    ['Canvas', `${saySize(px)} px: ${sayNumber(canvas.width)} × ${sayNumber(canvas.height)} lu`],
    ['Every screen sees', sayPart(seen, template, density)],
    ['Safe on every screen', sayPart(safe, template, density)],
    ['Cutouts', countOf(cutouts.length, 'place')],
  ];
  return (
    <table className="measures">
      <tbody>
        {rows.map(([name, text]) => (
          <tr key={name}>
            <th scope="row">{name}</th>
            <td className="figures">{text}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

/** The template of the screens in use, held as it is asked. */
function useTemplate({ fit, held, shape, ratio }: Asked, own: number | undefined): Template {
  const counted = useCounted();
  return useMemo(() => {
    const isHeld = (c: Case) =>
      held === 'all' || isPortrait(orientationOf(c.screen, c.rotation)) === (held === 'portrait');
    const cases = counted.filter((c) => c.appearance === 'light' && isHeld(c));
    return templateOf({ cases, fit, ratio: { smallest: undefined, picture: own, given: ratio }[shape] });
  }, [counted, fit, held, shape, ratio, own]);
}

/** The template as files, in px of a density. */
function TakenOut({ template }: { template: Template }) {
  const store = useWorkbenchStore();
  const [density, setDensity] = useState<(typeof DENSITIES)[number]>('3');
  const svg = () => templateSvg(template, Number(density));
  const savePng = () => {
    pngOf(svg()).then(
      (png) => download(`template@${density}x.png`, png),
      (error: unknown) => store.setState({ message: `The PNG was not made: ${messageOf(error)}` }),
    );
  };
  return (
    <>
      <Facts template={template} density={Number(density)} />
      <Choices
        label="px per lu"
        options={DENSITIES.map((value) => ({ value, label: sayDensity(Number(value)) }))}
        value={density}
        onChoose={setDensity}
      />
      <p className="sets-ways">
        <Button
          variant="primary"
          size="sm"
          onClick={() => download('template.svg', new Blob([svg()], { type: 'image/svg+xml' }))}
        >
          SVG in layers
        </Button>
        <Button variant="quiet" size="sm" onClick={savePng}>
          PNG
        </Button>
      </p>
    </>
  );
}

/** What to compose a background to, so that it holds on every screen in use. */
export function TemplateLens() {
  const asked = useAskedTemplate();
  const set = useSetInUse();
  const picture = useBackgroundPicture();
  const file = picture && masterOf(picture);
  const template = useTemplate(asked, file && file.widthPx / file.heightPx);
  const isOver = asked.shape === 'picture';
  const svg = useMemo(() => templateSvg(template, 1, isOver), [template, isOver]);
  return (
    <main className="template" id="main">
      <section className="template-side" aria-label="What is asked">
        <h2>Template for a background</h2>
        <p className="quiet">
          For {countOf(template.cases, 'case')} of {set ? `“${set.name}”` : 'all screens'}. What lies in the
          middle area is seen on every one of them.
        </p>
        <Controls {...asked} />
        <TakenOut template={template} />
      </section>
      <section className="template-drawing" aria-label="Template">
        <TemplateKey />
        <TemplateOver svg={svg} picture={isOver ? picture : undefined} />
      </section>
    </main>
  );
}

/** What each colour stands for. */
function TemplateKey() {
  return (
    <p className="template-key">
      {TEMPLATE_GROUPS.map((id) => (
        <span key={id}>
          <span className={`template-swatch template-${id}`} aria-hidden="true" /> {TEMPLATE_WORDS[id]}
        </span>
      ))}
    </p>
  );
}

/** The picture that the open scene has as its background, if it has one. */
function useBackgroundPicture(): Picture | undefined {
  const id = backgroundOf(useScene())?.picture;
  return useWorkbench((s) => s.documents.project.pictures.find((p) => p.id === id));
}

/** CSS px */
const UNDER_WIDTH = 900;

/** The template by itself, or over a picture of the same shape. */
function TemplateOver({ svg, picture }: { svg: string; picture: Picture | undefined }) {
  const source = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(svg)}`;
  return (
    <div className="template-stage">
      {picture && <PictureThumb picture={picture} width={UNDER_WIDTH} />}
      {/* A drawing that was just made: nothing that an image optimiser could add. */}
      {/* eslint-disable-next-line @next/next/no-img-element */}
      <img className="template-image" src={source} alt="The template, drawn" />
    </div>
  );
}
