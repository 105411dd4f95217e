'use client';
import dynamic from 'next/dynamic';
import type { ComponentType } from 'react';
import { Button } from 'react-bootstrap';
import type { LensId } from '../state/lenses';
import type { View } from '../state/view';

type Views<K extends string> = Record<K, () => Promise<ComponentType>>;

/** Lenses besides that of the screens; the code of each is loaded when it is opened. */
const CODE_OF_LENSES: Views<Exclude<LensId, 'screens'>> = {
  fits: () => import('../fits/FitsLens').then((m) => m.FitsLens),
  findings: () => import('../findings/FindingsLens').then((m) => m.FindingsLens),
  launch: () => import('../launch/LaunchLens').then((m) => m.LaunchLens),
  sizes: () => import('../sizes/SizesLens').then((m) => m.SizesLens),
  sets: () => import('../sets/SetsLens').then((m) => m.SetsLens),
  template: () => import('../template/TemplateLens').then((m) => m.TemplateLens),
  ship: () => import('../ship/ShipLens').then((m) => m.ShipLens),
};

/** What can take the place of the field. */
const CODE_OF_MIDDLES: Views<Exclude<View['middle'], 'field'>> = {
  valley: () => import('../valley/LargeValley').then((m) => m.LargeValley),
  map: () => import('../map/SizeMapView').then((m) => m.SizeMapView),
  window: () => import('../window/FreeWindow').then((m) => m.FreeWindow),
  pair: () => import('../pair/PairView').then((m) => m.PairView),
};

/** Stands where the code of a view could not be loaded, such as while the server is away. */
function NotLoaded() {
  return (
    <>
      <p className="problem" role="alert">
        This view could not be loaded. What you changed is saved, or kept in this tab until it is.
      </p>
      <Button variant="primary" onClick={() => window.location.reload()}>
        Load the page again
      </Button>
    </>
  );
}

/** What stands in place of a view: a lens is the main part of the page, a view of the middle stands in it. */
function placeOf(Part: 'main' | 'div') {
  const id = Part === 'main' ? 'main' : undefined;
  const Loading = () => (
    <Part id={id} aria-busy="true">
      <span className="visually-hidden">The view is being loaded</span>
    </Part>
  );
  const Lost = () => (
    <Part className="start" id={id}>
      <NotLoaded />
    </Part>
  );
  return { Loading, Lost };
}

/** Not made on the server: what can be seen before its code is there could be clicked, and nothing would hear of it. */
const opened = (load: () => Promise<ComponentType>, { Loading, Lost }: ReturnType<typeof placeOf>) =>
  dynamic(() => load().catch(() => Lost), { loading: Loading, ssr: false });

function all<K extends string>(views: Views<K>, part: 'main' | 'div'): Record<K, ComponentType> {
  const place = placeOf(part);
  return Object.fromEntries(
    Object.entries(views).map(([id, load]) => [id, opened(load as Views<K>[K], place)]),
  ) as Record<K, ComponentType>;
}

export const LENS_VIEWS = all(CODE_OF_LENSES, 'main');
export const MIDDLE_VIEWS = all(CODE_OF_MIDDLES, 'div');

/** How long the page is left to itself before the rest is loaded. */
const REST_MS = 4000;

/** Loads everything that is not opened yet once the page has come to rest, so that it is there when it is wanted. */
export function loadAll(): () => void {
  const clock = setTimeout(() => {
    // What cannot be loaded now is tried again when it is opened.
    for (const load of Object.values({ ...CODE_OF_LENSES, ...CODE_OF_MIDDLES })) load().catch(() => {});
  }, REST_MS);
  return () => clearTimeout(clock);
}
