'use client';
import { useRef } from 'react';
import { useElementSize } from '../drawing/useElementSize';
import { momentsOf } from '@/core/launch/timeline';
import { naturalSize } from '@/core/screens/turn';
import { useWorkbench, useWorkbenchStore } from '../state/context';
import { caseName, caseSize } from '../words';
import { FilmCanvas } from './FilmCanvas';
import type { Film } from '../state/launched';

/** CSS px that the longer side of a screen takes. */
const STRIP_ROOM = 84;
const PLAY_ROOM = { usual: 136, wide: 210 };

const scaleFor = ({ c }: Film, room: number) => {
  const { width, height } = naturalSize(c.screen);
  return room / Math.max(width, height);
};

/** To the millisecond: two neighbours may be one apart. */
const sayMoment = (t: number) => (t >= 1000 ? `${t / 1000} s` : `${t} ms`);

/** Screens down, moments at which something changes across. */
export function Filmstrip({ films, moments }: { films: readonly Film[]; moments: readonly number[] }) {
  return (
    <div className="filmstrip" tabIndex={0} role="region" aria-label="Filmstrip">
      <table>
        <thead>
          <tr>
            <th scope="col">screen</th>
            {moments.map((t) => (
              <th scope="col" key={t} className="figures">
                {sayMoment(t)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {films.map((film) => (
            <tr key={film.c.id}>
              <th scope="row" className="figures">
                {caseSize(film.c)}
              </th>
              {moments.map((t) => (
                <td key={t}>
                  <FilmCanvas film={film} scale={scaleFor(film, STRIP_ROOM)} at={t} />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}

export const momentsFor = (film: Film): number[] => momentsOf(film.timeline);

/** All chosen screens at the time of the clock. */
export function PlayGrid({ films }: { films: readonly Film[] }) {
  const store = useWorkbenchStore();
  const chosen = useWorkbench((s) => s.view.case);
  const ref = useRef<HTMLUListElement>(null);
  const room = useElementSize(ref).width > 900 ? PLAY_ROOM.wide : PLAY_ROOM.usual;
  return (
    <ul ref={ref} className="play-grid" aria-label="Screens of the film">
      {films.map((film) => (
        <li key={film.c.id}>
          <button
            type="button"
            aria-pressed={film.c.id === chosen}
            aria-label={`Look at the hand-over on ${caseName(film.c)}`}
            onClick={() => store.setState(({ view }) => ({ view: { ...view, case: film.c.id } }))}
          >
            <FilmCanvas film={film} scale={scaleFor(film, room)} />
          </button>
          <span className="figures quiet">{caseSize(film.c)}</span>
        </li>
      ))}
    </ul>
  );
}
