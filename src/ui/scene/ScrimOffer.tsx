'use client';
import { stepOf } from '@/core/steps/commands';
import { useState } from 'react';
import { Button } from 'react-bootstrap';
import type { ScrimOffer as Offer } from '@/core/findings/offer-scrim';
import { sayAlpha, sayContrast, sayRatio } from '@/core/words/numbers';
import { isPlaced, type Layer } from '@/core/scene/scene';
import { findCase } from '@/core/screens/cases';
import { useScene, useWorkbench, useWorkbenchStore } from '../state/context';
import { editBy } from '../state/edit';
import { caseName } from '../words';
import { Costs } from '../parts/Costs';

/** Contrasts that WCAG 2.2 asks for: of what has to be made out and of large text, and of text. */
const ASKED = [3, 4.5] as const;

interface Asked {
  least: number;
  offer: Offer | null;
}
type Answer = Asked | 'asked' | null;

function Found({ least, offer, onLay }: Asked & { onLay: (offer: Offer) => void }) {
  const screens = useWorkbench((s) => s.sceneScreens);
  if (!offer)
    return (
      <p className="quiet">
        No scrim gives it {sayRatio(least)} : 1 on every case. Change its colour instead.
      </p>
    );
  if (offer.alpha === 0) return <p className="quiet">It has {sayRatio(least)} : 1 on every case already.</p>;
  const asks = findCase(offer.caseId, screens);
  return (
    <p>
      {offer.colour === '#000000' ? 'Black' : 'White'}, {sayAlpha(offer.alpha)} of it, as{' '}
      {asks ? `${caseName(asks)}, ${asks.appearance}` : offer.caseId} needs: {sayContrast(offer.reaches)} or
      more on every case, <Costs costs={offer.costs} />.{' '}
      <Button variant="quiet" size="sm" onClick={() => onLay(offer)}>
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
    worker.scrim(store.getState().documents, scene.id, layer.id, least).then(
      (offer) => setAnswer({ least, offer }),
      (error: unknown) => {
        setAnswer(null);
        store.setState({
          message: `No scrim could be tried. ${error instanceof Error ? error.message : ''}`,
        });
      },
    );
  };
  const lay = ({ patch }: Offer) => {
    editBy(store, stepOf('layer.scrim', layer.name), patch);
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
