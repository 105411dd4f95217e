'use client';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import { sayRatio, sayShare } from '@/core/formats/numbers';
import { scrimUnder, withAlpha } from '@/core/findings/mends/colours';
import { isPlaced, type Layer } from '@/core/scene/scene';
import { findCase } from '@/core/screens/cases';
import type { Scrim } from '@/core/survey/scrim';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { edit } from '../state/edit';
import { documented } from '../state/survey-client';
import { caseName } from '../words';

/** Contrasts that WCAG 2.2 asks for: of what has to be made out and of large text, and of text. */
const ASKED = [3, 4.5] as const;

interface Asked {
  least: number;
  scrim: Scrim | null;
}
type Answer = Asked | 'asked' | null;

function Found({ least, scrim, onLay }: Asked & { onLay: (scrim: Scrim) => void }) {
  const screens = useWorkbench((s) => s.screens);
  if (!scrim)
    return <p className="quiet">No scrim is enough for {sayRatio(least)} : 1. Change its colour.</p>;
  if (scrim.alpha === 0) return <p className="quiet">It has {sayRatio(least)} : 1 on every case already.</p>;
  const asks = findCase(scrim.caseId, screens);
  return (
    <p>
      {scrim.colour === '#000000' ? 'Black' : 'White'}, {sayShare(Math.ceil(scrim.alpha * 255) / 255)} of it,
      as {asks ? `${caseName(asks)}, ${asks.appearance}` : scrim.caseId} needs.{' '}
      <Button variant="quiet" size="sm" onClick={() => onLay(scrim)}>
        lay it
      </Button>
    </p>
  );
}

/** The weakest scrim under a text or a logo with which it can be made out on every case, and a button that lays it. */
export function ScrimOffer({ layer, onDone }: { layer: Layer; onDone: () => void }) {
  const store = useWorkbenchStore();
  const scene = useScene();
  const worker = useWorkbench((s) => s.worker);
  const [answer, setAnswer] = useState<Answer>(null);
  if (!isPlaced(layer) || !worker) return null;

  const ask = (least: number) => {
    setAnswer('asked');
    const { documents } = store.getState();
    void worker
      .scrim(documented(documents, scene), layer.id, least)
      .then((scrim) => setAnswer({ least, scrim }));
  };
  const lay = ({ colour, alpha }: Scrim) => {
    edit(store, ({ scenes }) => {
      const { layers } = scenes[scene.id]!;
      const at = layers.findIndex((l) => l.id === layer.id);
      const scrim = scrimUnder(layer, { light: withAlpha(colour, alpha) }, crypto.randomUUID());
      layers.splice(at, 0, scrim);
    });
    onDone();
  };

  return (
    <div className="bound offers" role="group" aria-label="Scrim">
      <span className="choices-label">Weakest scrim with which it has, on every case, a contrast of</span>
      <span>
        {ASKED.map((ratio) => (
          <Button key={ratio} variant="quiet" size="sm" onClick={() => ask(ratio)}>
            {ratio} : 1
          </Button>
        ))}
      </span>
      <div role="status">
        {answer === 'asked' && <p className="quiet">Being worked out…</p>}
        {answer && answer !== 'asked' && <Found {...answer} onLay={lay} />}
      </div>
    </div>
  );
}
