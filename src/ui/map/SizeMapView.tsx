'use client';
import { useRef, useState } from 'react';
import { Button } from 'react-bootstrap';
import type { Size } from '@/core/geometry/rect';
import { rangeFor } from '@/core/map/range';
import { AROUND } from '@/core/screens/free';
import { sayDensity } from '@/core/words/numbers';
import { useElementSize } from '../drawing/useElementSize';
import { BackToField } from '../parts/BackToField';
import { Choices } from '../parts/Choices';
import { useScene, useWorkbench } from '../state/context';
import { useLook } from '../state/look';
import { AllowedFields } from './AllowedFields';
import { MapPlot } from './MapPlot';
import { MapShares } from './MapShares';
import { NearList, WhereItBreaks } from './MapWords';
import { PointedAt } from './PointedAt';
import { scaleOf } from './map-scale';
import { useNearest, useSizeMap, useToMap } from './useSizeMap';

const AROUND_LABELS = {
  nothing: 'bare windows',
  screen: 'with the bars and insets of the close-up',
} as const;
/** CSS px beside and under the map for its sizes, and how high it may be. */
const EDGES = { left: 44, bottom: 36 };
const MOST_HEIGHT = 560;

/** What can be done with the window that was chosen on the map. */
function WindowWays() {
  const chosen = useWorkbench((s) => s.view.window);
  const look = useLook();
  if (!chosen) return null;
  return (
    <p className="size-map-ways">
      <Button variant="primary" size="sm" onClick={() => look({ middle: 'window' })}>
        open as free window
      </Button>{' '}
      <Button variant="quiet" size="sm" onClick={() => look({ window: undefined })}>
        back to the screen
      </Button>
    </p>
  );
}

/** Every size that a window can have, by what becomes of the scene on it. */
export function SizeMapView() {
  const ref = useRef<HTMLDivElement>(null);
  const room = useElementSize(ref);
  const around = useWorkbench((s) => s.view.around);
  const scene = useScene();
  const look = useLook();
  const asked = useToMap();
  const { map, isRunning } = useSizeMap(asked);
  const near = useNearest(isRunning);
  const [pointed, setPointed] = useState<Size | null>(null);
  const scale = scaleOf(map?.range ?? asked?.range ?? rangeFor([]), {
    width: Math.max(200, room.width - EDGES.left),
    height: MOST_HEIGHT,
  });
  return (
    <section className="middle-view size-map" aria-label="Map of all sizes">
      <div className="valley-head">
        <h2>Every size a window can have</h2>
        {asked && (
          <span className="quiet figures">
            {scene.name}, {asked.appearance}, {sayDensity(asked.base.density)} px per lu
          </span>
        )}
        <BackToField />
      </div>
      <Choices
        label="Windows"
        hideLabel
        options={AROUND.map((value) => ({ value, label: AROUND_LABELS[value] }))}
        value={around}
        onChoose={(next) => look({ around: next })}
      />
      <PointedAt size={pointed} />
      <div className="size-map-plot" ref={ref} style={{ minHeight: scale.height + EDGES.bottom }}>
        {room.width > 0 && <MapPlot map={map} scale={scale} edges={EDGES} onPoint={setPointed} />}
      </div>
      <MapShares map={map} isRunning={isRunning} />
      <WindowWays />
      <AllowedFields />
      {map && <WhereItBreaks breaks={map.breaks} />}
      <NearList near={near} isRunning={isRunning || !near} />
    </section>
  );
}
